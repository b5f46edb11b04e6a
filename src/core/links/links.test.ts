import { linkTo, linkToEnd, linkToRun, pathOf } from './index';
import { PAGES, type PageName } from '../questions';

// RFC 3986 and the form encoding of WHATWG URL: what is read back is what was put in.
it('puts values into an address so that they come out again', () => {
  const link = linkTo('cutters', { open: '1/4 #7 & more', q: 'DC>=6 +R', sort: '-dc' });
  const url = new URL(link, 'http://crib');
  expect(url.pathname).toBe('/cutters');
  expect(Object.fromEntries(url.searchParams)).toEqual({ open: '1/4 #7 & more', q: 'DC>=6 +R', sort: '-dc' });
  expect(linkTo('jobs', { open: 'J-1', t: 7 })).toBe('/jobs?open=J-1&t=7');
  expect(linkTo('today')).toBe('/');
  expect(linkTo('jobs', { open: undefined })).toBe('/jobs');
  expect([linkToRun(3), linkToEnd('A/1')]).toEqual(['/run/3', '/end/A%2F1']);
});

it('each page has a path of its own', () => {
  const paths = (Object.keys(PAGES) as PageName[]).map(pathOf);
  expect(new Set(paths).size).toBe(paths.length);
});
