import { msg } from '../messages';
import { placeName, TASK_WORDS } from './named';
import type { PartyDay } from './instance';

/** What makes a party's day unfit to be planned, in words, each with where it stands; none when it is fit. */
export function checkDay(day: PartyDay): { readonly at: string; readonly message: string }[] {
  const found: { at: string; message: string }[] = [];
  const say = (at: string, message: string): void => void found.push({ at, message });
  if (!(Number.isInteger(day.grid) && day.grid > 0))
    say('grid', msg`The raster of starts is a whole number of minutes.`);
  const places = new Set(day.places.map((place) => place.id));
  const workers = new Map(day.workers.map((worker) => [worker.id, worker]));
  const once = (at: string, ids: readonly string[]): void => {
    const twice = ids.find((id, i) => ids.indexOf(id) !== i);
    if (twice !== undefined) say(at, msg`${twice} is there twice.`);
  };
  if (day.people.length + day.rounds.length === 0) say('people', msg`Nobody is to be made up yet.`);
  once(
    'people',
    [...day.people, ...day.rounds].map((one) => one.id),
  );
  once(
    'workers',
    day.workers.map((one) => one.id),
  );
  once(
    'chairs',
    day.chairs.map((one) => one.id),
  );
  for (const place of places) {
    const kinds = new Set(day.chairs.filter((chair) => chair.place === place).map((chair) => chair.kind));
    if (kinds.has('any') && kinds.size > 1)
      say(
        'chairs',
        msg`At ${placeName(day, place)} either every chair is for anything or each is for hair or for make-up.`,
      );
  }
  for (const chair of day.chairs)
    if (!places.has(chair.place)) say(`chairs/${chair.id}`, msg`There is no place ${chair.place}.`);
  for (const worker of day.workers) {
    const at = `workers/${worker.id}`;
    if (!places.has(worker.at)) say(at, msg`There is no place ${worker.at}.`);
    if (worker.maxWork !== null && worker.rest % day.grid !== 0)
      say(at, msg`${worker.name}'s rest is a multiple of ${day.grid} minutes.`);
    const { lunch } = worker;
    if (lunch && [lunch.minutes, lunch.from, lunch.to].some((minutes) => minutes % day.grid !== 0))
      say(at, msg`${worker.name}'s lunch is in multiples of ${day.grid} minutes.`);
    for (const gone of worker.away ?? [])
      if (gone.to <= gone.from) say(at, msg`${worker.name} would be back before leaving: ${gone.title}.`);
    if (lunch && lunch.to - lunch.from < lunch.minutes)
      say(at, msg`${worker.name}'s lunch does not fit its window.`);
  }
  for (const person of day.people) {
    const at = `people/${person.id}`;
    if (person.readyBy <= person.from) say(at, msg`${person.name} is to be ready before arriving.`);
    if (person.slack < 0) say(at, msg`${person.name}'s slack is none or more minutes.`);
    if (person.ways.every((way) => way.relax)) say(at, msg`${person.name} has no way that is not a way out.`);
    for (const way of person.ways) {
      if (way.tasks.length === 0) say(`${at}/${way.id}`, msg`${person.name} has nothing to be done.`);
      once(
        `${at}/${way.id}`,
        way.tasks.map((task) => task.id),
      );
      for (const task of way.tasks) {
        const where = `${at}/${way.id}/${task.id}`;
        if (!places.has(task.place)) say(where, msg`There is no place ${task.place}.`);
        const by = Object.entries(task.by);
        if (by.length === 0) say(where, msg`Nobody can do ${person.name}'s ${TASK_WORDS[task.kind]}.`);
        for (const [id, minutes] of by) {
          const worker = workers.get(id);
          if (!worker) say(where, msg`There is nobody called ${id}.`);
          if (!(Number.isInteger(minutes) && minutes > 0))
            say(where, msg`${person.name}: ${TASK_WORDS[task.kind]} takes whole minutes, at least one.`);
          const hands = minutes + (task.frees === false ? task.tail : 0);
          if (worker && worker.maxWork !== null && hands > worker.maxWork)
            say(
              where,
              msg`${person.name}'s ${TASK_WORDS[task.kind]} is longer than ${worker.name} works without a rest.`,
            );
        }
      }
    }
  }
  return found;
}
