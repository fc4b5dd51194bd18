import { askEarly } from './askEarly';

/** Where the built app has the screens that draw and compute, filled in when it is built. */
declare const WORK_FILE: string;

// The first script of every page.
askEarly(WORK_FILE);
