import {
  COLOUR_TONES,
  COLOUR_WORD_NAMES,
  colourOfWord,
  FINISHES,
  messages,
  msg,
  placesFor,
  TOOLS,
  type TakenShade,
  type TakenStep,
} from '@toile/core';
import { Choice, Column, LabField, Line, Stepper, Swatch } from '../../ui';
import { placeWords } from './takeDownView';

const BY = ['skin', 'word', 'reading', 'none'] as const satisfies readonly TakenShade['by'][];
const BY_WORDS = messages({
  skin: 'against the skin',
  word: 'by a word',
  reading: 'as read',
  none: 'none',
} as const);
const ANY = 'not seen';

/** What was seen of one step: where, the shade, the tool, the finish. */
export function TakenStepPart({
  step,
  onChange,
}: {
  readonly step: TakenStep;
  readonly onChange: (step: TakenStep) => void;
}) {
  const places = placesFor(step.role);
  const shadeBy = (by: TakenShade['by']): TakenShade => {
    if (by === step.shade.by) return step.shade;
    if (by === 'skin') return { by, depthSteps: 0 };
    if (by === 'word') return { by, word: 'rose', tone: 'as it is' };
    return by === 'reading' ? { by, lab: [60, 14, 16] } : { by };
  };
  return (
    <Column gap="$3">
      <Choice
        several
        label={msg`Where`}
        options={places}
        words={Object.fromEntries(places.map((guide) => [guide, placeWords(guide)]))}
        chosen={[...step.guides]}
        onChange={(guides) => onChange({ ...step, guides: guides.length > 0 ? guides : step.guides })}
      />
      <Choice
        label={msg`Shade`}
        options={BY}
        words={BY_WORDS}
        chosen={[step.shade.by]}
        onChange={([by]) => by && onChange({ ...step, shade: shadeBy(by) })}
      />
      <ShadePart shade={step.shade} onChange={(shade) => onChange({ ...step, shade })} />
      <Choice
        label={msg`With`}
        options={TOOLS}
        words={{ none: msg`straight from it` }}
        chosen={[step.tool]}
        onChange={([tool]) => tool && onChange({ ...step, tool })}
      />
      <Choice
        label={msg`Finish`}
        options={[ANY, ...FINISHES]}
        chosen={[step.finish ?? ANY]}
        onChange={([finish]) => finish && onChange({ ...step, finish: finish === ANY ? null : finish })}
      />
    </Column>
  );
}

function ShadePart({
  shade,
  onChange,
}: {
  readonly shade: TakenShade;
  readonly onChange: (shade: TakenShade) => void;
}) {
  switch (shade.by) {
    case 'skin':
      return (
        <Stepper
          label={msg`Deeper than the skin`}
          unit={msg`steps`}
          value={shade.depthSteps}
          minimum={-6}
          maximum={6}
          step={0.5}
          onChange={(depthSteps) => onChange({ ...shade, depthSteps })}
        />
      );
    case 'word':
      return (
        <Column gap="$2">
          <Line flexWrap="nowrap" gap="$3">
            <Swatch lab={colourOfWord(shade.word, shade.tone)} size={52} label={msg`the colour meant`} />
            <Choice
              label={msg`Its tone`}
              options={COLOUR_TONES}
              chosen={[shade.tone]}
              onChange={([tone]) => tone && onChange({ ...shade, tone })}
            />
          </Line>
          <Choice
            label={msg`Its colour`}
            options={COLOUR_WORD_NAMES}
            chosen={[shade.word]}
            onChange={([word]) => word && onChange({ ...shade, word })}
          />
        </Column>
      );
    case 'reading':
      return (
        <LabField
          label={msg`As read`}
          button={msg`Take it`}
          start={shade.lab}
          onLab={(lab) => onChange({ by: 'reading', lab })}
        />
      );
    case 'none':
      return null;
  }
}
