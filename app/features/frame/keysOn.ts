import { deviceChoice } from '../../data/deviceChoice';

/** Whether single keys do something: switched off where someone speaks to their device or types by switch. */
export const { use: useKeysOn, choose: chooseKeysOn } = deviceChoice('keys', ['on', 'off']);
