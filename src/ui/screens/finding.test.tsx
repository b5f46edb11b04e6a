/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { Finding } from './rack/Finding';

let drawn = '';
const asked: string[] = [];
jest.mock('next/navigation', () => ({
  useRouter: () => ({ replace: (href: string) => asked.push(href) }),
  usePathname: () => '/rack',
  useSearchParams: () => new URLSearchParams(drawn),
}));

const finding = () => {
  const at = new URLSearchParams(drawn);
  return (
    <Finding
      tapers={['R8', 'SK40']}
      machines={['M1', 'M2']}
      asked={{ find: at.get('find') ?? '', machine: at.get('machine'), taper: at.get('taper') }}
      more={false}
    />
  );
};
const words = () => screen.getByLabelText('Find on the rack');
const choose = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

it('a hand quicker than the screen: nothing said is turned back by what is said next', () => {
  drawn = 'find=face+mill';
  const { rerender } = render(finding());
  // The words are cleared, and the screen is still drawn from the address before it.
  fireEvent.change(words(), { target: { value: '' } });
  choose('Taper', 'R8');
  expect(asked.at(-1)).toBe('/rack?taper=R8');
  choose('Machine', 'M2');
  expect(asked.at(-1)).toBe('/rack?taper=R8&machine=M2');
  fireEvent.change(words(), { target: { value: 'drill' } });
  expect(location.search).toBe('?find=drill&taper=R8&machine=M2');
  // The first of it comes to be drawn: the rest still stands.
  drawn = 'taper=R8';
  rerender(finding());
  choose('Machine', 'M1');
  expect(asked.at(-1)).toBe('/rack?taper=R8&find=drill&machine=M1');
  // All of it is drawn: from here the address says it, also where something else changes it.
  drawn = 'taper=R8&find=drill&machine=M1';
  rerender(finding());
  drawn = '';
  rerender(finding());
  choose('Taper', 'SK40');
  expect(asked.at(-1)).toBe('/rack?taper=SK40');
});
