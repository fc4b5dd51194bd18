import { deviceChoice } from '../../data/deviceChoice';

/** What a face is drawn on: the client's own skin once it has been read, or paper. */
export const { use: useGround, choose: chooseGround } = deviceChoice('ground', ['skin', 'paper']);
