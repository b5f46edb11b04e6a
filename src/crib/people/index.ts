// What people do
export { setRole } from './verbs/setRole';
export { setSecondPerson } from './verbs/setSecondPerson';
export { SIGNING_ACTS } from './acts';
export { defineAct } from './act';
export type { Act, ActContext } from './act';
export { notSignedIn, runAct } from './runAct';
// Who asks
export { whoSigns } from './whoSigns';
export { secondAsked } from './second';
export { Slow } from './slow';
export { codeFromConsole, codeOfFirstOwner, demoKey } from './first';
export { stayAtHand } from './acts/hand';
export { KEY_BEGINS } from './acts/give';
export { newSecret } from './digest';
// What screens show
export { peopleView } from './views/peopleView';
export type { PeopleView } from './views/peopleView';
export { signInView } from './views/signInView';
