import { msg, stepsCounted, type Lesson, type LessonStep } from '@toile/core';
import { escaped, linkEnds, page } from '../shares/page';
import type { DaysTold } from '../studio/day';

const STYLE =
  '<style>ol{padding:0;margin:0;list-style:none}li{padding:14px 0;border-bottom:1px solid #bbb}h2{font-size:20px;margin:0 0 4px}p{margin:4px 0}.n{display:inline-block;min-width:26px;height:26px;line-height:26px;text-align:center;border:2px solid #161616;border-radius:13px;font-weight:700;margin-right:6px}.drop{display:inline-block;background:#8c5a3c;border-radius:50%;vertical-align:middle;margin-left:8px}small{font-size:14px;color:#444}</style>';

/** A size as it is on paper and nearly on a phone: a round spot so many mm wide. */
const drop = (mm: number): string =>
  `<span class="drop" style="width:${mm}mm;height:${mm}mm" aria-hidden="true"></span>`;
const numbers = (things: readonly number[]): string =>
  things.map((n) => `<span class="n">${n}</span>`).join('');

function step(one: LessonStep, i: number): string {
  return (
    `<li><h2>${i + 1}. ${escaped(one.title)}</h2>` +
    (one.things.length > 0
      ? `<p>${numbers(one.things)}${one.amount ? escaped(one.amount) : ''}${one.sizeMm ? drop(one.sizeMm) : ''}</p>`
      : '') +
    one.where.map((place) => `<p>${escaped(place)}</p>`).join('') +
    `<p>${escaped(one.how)}</p><p>✓ ${escaped(one.check)}</p>` +
    (one.fault ? `<p>${escaped(one.fault.seen)}? ${escaped(one.fault.cure)}</p>` : '') +
    `<p><small>${escaped(one.waitMinutes > 0 ? msg`about ${one.minutes} min, then wait ${one.waitMinutes} min` : msg`about ${one.minutes} min`)}</small></p></li>`
  );
}

/** A lesson on the client's own phone: what is needed, step by step, what to mind. */
export function lessonPage(
  lesson: Lesson,
  expiresAt: Date | null,
  told: DaysTold,
  changes: readonly string[] = [],
): string {
  return page(
    msg`${lesson.look}, at home`,
    `${STYLE}<h1>${escaped(msg`${lesson.look}, at home`)}</h1><p>${escaped(msg`For ${lesson.name}: ${stepsCounted(lesson)}, about ${lesson.minutes} minutes. Stand before a mirror: your left is on the left.`)}</p>` +
      (changes.length > 0
        ? `<h2>${escaped(msg`What is new`)}</h2><p>${changes.map(escaped).join('<br>')}</p>`
        : '') +
      `<h2>${escaped(msg`What you need`)}</h2><p>${lesson.things.map(({ number, name }) => `<span class="n">${number}</span>${escaped(name)}`).join('<br>')}</p>` +
      `<p>${escaped(lesson.before)}</p><ol>${lesson.steps.map(step).join('')}</ol>` +
      lesson.minds.map((line) => `<p>${escaped(line)}</p>`).join('') +
      `<p><small>${escaped(expiresAt ? linkEnds(expiresAt, told) : msg`This link stays until your studio takes it back.`)} ${escaped(msg`Once opened it can be read without a network.`)}</small></p>` +
      `<script src="/lesson-keep.js" defer></script>`,
  );
}
