/** A party's day as numbers: minutes are readings of the clock of the party's zone, 09:10 is 550. */
export type PartyDay = {
  readonly format: 'toile.day/1';
  readonly id: string;
  /** YYYY-MM-DD. */ readonly date: string;
  readonly zone: string;
  /** Starts lie on multiples of these minutes. */ readonly grid: number;
  readonly places: readonly { readonly id: string; readonly name: string }[];
  readonly travel: readonly Travel[];
  readonly workers: readonly Worker[];
  readonly chairs: readonly Chair[];
  /** Minutes a chair is wiped after each head. */ readonly chairWipe: number;
  readonly people: readonly Person[];
  /** Work on nobody in particular. */ readonly rounds: readonly Round[];
  readonly star: Star | null;
  /** On the day itself: nothing new starts before it. */ readonly now?: number | null;
  /** Work that stays where it is: begun, or held by hand. */ readonly pinned?: readonly Pin[];
  /** Ways out that were accepted, as 'person/way'. */ readonly relaxed?: readonly string[];
};

/** One direction; no entry: nobody can go. With departures, the next one after packing is taken. */
export type Travel = {
  readonly from: string;
  readonly to: string;
  readonly minutes: number;
  readonly pack?: number;
  readonly unpack?: number;
  readonly departures?: readonly number[];
};

/** An artist or a hair stylist. */
export type Worker = {
  readonly id: string;
  readonly name: string;
  readonly arrives: number;
  /** The place of arrival. */ readonly at: string;
  readonly setUp: number;
  readonly packUp: number;
  readonly leaves: number | null;
  /** Minutes between two faces. */ readonly sanitise: number;
  /** Minutes on end without a rest. */ readonly maxWork: number | null;
  readonly rest: number;
  readonly lunch: { readonly minutes: number; readonly from: number; readonly to: number } | null;
  /** When these hands are not there: no visit runs into it. */ readonly away?: readonly Appointment[];
};

export type Chair = {
  readonly id: string;
  readonly place: string;
  readonly kind: ChairKind;
  /** As the plan calls it. */ readonly name?: string;
};
export type ChairKind = 'makeup' | 'hair' | 'any';

export type Person = {
  readonly id: string;
  readonly name: string;
  readonly role: string;
  /** There from. */ readonly from: number;
  readonly readyBy: number;
  /** Minutes before ready-by that are aimed at. */ readonly slack: number;
  /** Make-up that ends more than these minutes before the aim is no longer fresh. */
  readonly freshAfter?: number;
  readonly busy: readonly Appointment[];
  readonly weights: Weights;
  readonly ways: readonly Way[];
};

export type Appointment = { readonly from: number; readonly to: number; readonly title: string };

/** Points a minute: late past ready-by, of slack eaten, early, waiting between tasks, and no longer fresh. */
export type Weights = {
  readonly late: number;
  readonly short: number;
  readonly early: number;
  readonly wait: number;
  readonly fresh?: number;
};

/** One manner of doing a person: all its tasks, or another way. */
export type Way = {
  readonly id: string;
  readonly cost: number;
  /** Only a way out: a lighter look, no hair. */ readonly relax?: boolean;
  readonly tasks: readonly DayTask[];
  readonly order?: readonly { readonly first: string; readonly then: string }[];
  readonly prefer?: readonly { readonly first: string; readonly then: string; readonly cost: number }[];
  readonly likes?: readonly { readonly task: string; readonly worker: string; readonly cost: number }[];
};

export type TaskKind = 'makeup' | 'hair' | 'set' | 'lashes' | 'touchup';

export type DayTask = {
  readonly id: string;
  readonly kind: TaskKind;
  readonly place: string;
  /** Minutes each worker who may needs. */ readonly by: Readonly<Record<string, number>>;
  /** Minutes of drying after the hands are off. */ readonly tail: number;
  /** Whether the worker may go on while it dries (yes). */ readonly frees?: boolean;
  /** Whether the chair stays taken while it dries (no). */ readonly holds?: boolean;
  /** Whether it needs a chair (yes). */ readonly chair?: boolean;
  readonly from?: number;
  readonly to?: number;
};

export type Round = {
  readonly id: string;
  readonly kind?: 'touchup';
  readonly place: string;
  readonly from: number;
  readonly to: number;
  readonly by: Readonly<Record<string, number>>;
};

/** Whose face is neither the first begun nor the last done, and what it costs when it is. */
export type Star = { readonly person: string; readonly firstCost: number; readonly lastCost: number };

export type Pin = {
  readonly of: string;
  readonly task: string;
  readonly worker: string;
  readonly start: number;
  /** When they differ from the plan's. */ readonly minutes?: number;
  /** Where it is done: of several ways only one there is kept to. Any, where nobody says. */
  readonly place?: string;
};

/** Weighted minutes late, then points of comfort: compared in this order, never added. */
export type Objective = { readonly late: number; readonly cost: number };

export type Visit = {
  /** A person's or a round's id. */ readonly of: string;
  readonly task: string;
  readonly worker: string;
  readonly chair: string | null;
  readonly start: number;
  readonly minutes: number;
};

/** A timetable, with how sure it is that there is none better. */
export type DayAnswer = {
  readonly format: 'toile.day-answer/1';
  readonly instance: string;
  readonly ways: Readonly<Record<string, string>>;
  readonly visits: readonly Visit[];
  /** People and rounds no place was found for; then the objective is infinite. */
  readonly unplaced: readonly string[];
  readonly objective: Objective;
  readonly proof: {
    /** No timetable is better than this. */ readonly bound: Objective;
    readonly proven: boolean;
    readonly nodes: number;
    /** Steps of work done: the same number with the same seed gives the same answer. */
    readonly work: number;
  };
};

/** Below none when `a` is better. */
export function compareObjectives(a: Objective, b: Objective): number {
  return a.late - b.late || a.cost - b.cost;
}

/** A chair's kind for a task. */
export function chairKindOf(kind: TaskKind): 'makeup' | 'hair' {
  return kind === 'hair' || kind === 'set' ? 'hair' : 'makeup';
}
