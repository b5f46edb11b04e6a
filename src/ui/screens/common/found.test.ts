/** @jest-environment jsdom */
import { sourceOf } from './found';

jest.mock('next/navigation', () => ({
  useRouter: () => ({}),
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(),
}));

it('what is taken is stock at a place or a marked piece, whatever signs the item’s code has', () => {
  expect(sourceOf('EM8|CAB1-A')).toEqual({ item: 'EM8', place: 'CAB1-A' });
  expect(sourceOf('EM|8|X|CAB1-A')).toEqual({ item: 'EM|8|X', place: 'CAB1-A' });
  expect(sourceOf('SL|8 X|CAB1-A H-0003')).toEqual({ item: 'SL|8 X', place: 'CAB1-A', marked: 'H-0003' });
  expect(sourceOf('E-0012')).toEqual({ piece: 'E-0012' });
});
