import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { lookUpCode } from './lookUpCode';

let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
  });
  await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
  });
  // Ten in the evening in the shop, already tomorrow in Greenwich.
  crib.at('2027-01-06T01:30:00Z');
  await crib.do('takeDown', { tag: 'A-0002', cutterTo: 'USED' });
  await crib.do('addJob', {
    number: 'J-1',
    part: 'Block',
    material: 'C45',
    quantity: 9,
    due: '2027-02-01',
    machine: 'M2',
  });
  await crib.do('placeOrder', { item: 'EM10', quantity: 2, promised: '2027-02-01' });
});
afterAll(() => crib.db.close());

it.each([
  ['A-0001', '/rack?open=A-0001', /beside the rack/],
  [' a-0001 ', '/rack?open=A-0001', /beside the rack/],
  ['A-0002', null, /was taken down on 2027-01-05/],
  ['E-0001', '/rack?open=A-0001', /is the cutter in A-0001/],
  ['E-0002', '/cutters?open=EM10', /lies in USED/],
  ['O-0001', '/buying?order=O-0001', /2 of 2 open/],
  ['J-1', '/jobs?open=J-1', /opened/],
  ['SL10', '/cutters?open=SL10', /opened/],
  ['m2', '/machines?open=M2', /opened/],
  ['USED', '/cutters?q=USED', /Used drawer/],
  ['square 4 flutes', '/cutters?open=EM10', /is EM10/],
  ['10', '/cutters?q=10', /2 items answer to this/],
  ['A-9999', null, /not known here/],
  ["'; drop table item; --", null, /not known here/],
] as const)('%j', async (text, href, said) => {
  const found = await lookUpCode(crib.db, text, crib.zone);
  expect(found.href).toBe(href);
  expect(found.said).toMatch(said);
});
