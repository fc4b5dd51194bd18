import { addressOf, newId, ROUTES, type RouteName } from '@toile/contract';
import { neverKept } from '../offline/neverKept';

const kept = (name: RouteName): boolean =>
  !neverKept(new URL(addressOf(ROUTES[name].path, { id: newId() }), 'http://here').pathname);

test.each<RouteName>([
  'photographs',
  'photograph',
  'exportStudio',
  'backupStudio',
  'clientData',
  'erasure',
  'listIntakes',
  'printChart',
  'liveChart',
  'liveParty',
  'team',
  'audit',
  'devices',
  'setUpState',
])('%s is never kept on the device', (name) => expect(kept(name)).toBe(false));

test.each<RouteName>(['client', 'chart', 'kit', 'today', 'chartWear', 'look', 'party', 'partyPacking'])(
  '%s is there without a network',
  (name) => expect(kept(name)).toBe(true),
);
