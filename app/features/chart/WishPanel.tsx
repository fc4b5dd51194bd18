import {
  COVERAGE_WORDS,
  FAMILIES,
  FINISHES,
  msg,
  PRODUCT_KINDS,
  TEXTURES,
  UNDERTONES,
  wantedColour,
  type Chart,
  type Lab,
  type Shade,
  type Step,
} from '@toile/core';
import { Choice, ColourField, Column, Label, Line, Stepper, Swatch, Switch } from '../../ui';
import { withStepChange } from './chartView';

type WishPanelProps = {
  readonly chart: Chart;
  readonly step: Step;
  readonly onChange: (chart: Chart) => void;
};

const SHADES = ['by the skin', 'a colour of its own', 'no shade'] as const;
type ShadeKind = (typeof SHADES)[number];
const kindOf = (shade: Shade): ShadeKind =>
  shade === null ? 'no shade' : 'lab' in shade ? 'a colour of its own' : 'by the skin';
const NO_UNDERTONE = 'as the skin';
/** Where picking a colour begins when none is known. */
const START: Lab = [58, 24, 14];

/**
 * What a step asks of whatever kit it is bound to: kinds, shade, texture, finish, cover, what it is made of.
 */
export function WishPanel({ chart, step, onChange }: WishPanelProps) {
  const { wants, shade } = step;
  const change = (part: Partial<Step>): void => onChange(withStepChange(chart, step.id, part));
  const want = (part: Partial<Step['wants']>): void => change({ wants: { ...wants, ...part } });
  const shown = wantedColour(step, chart.client, chart.schools.contrast);
  const rounded = (lab: Lab): Lab => [Math.round(lab[0]), Math.round(lab[1]), Math.round(lab[2])];
  return (
    <Column gap="$3" role="group" aria-label={msg`What is asked for`}>
      <Choice
        label={msg`Shade`}
        options={SHADES}
        chosen={[kindOf(shade)]}
        onChange={([kind]) =>
          kind &&
          change({
            shade:
              kind === 'no shade'
                ? null
                : kind === 'by the skin'
                  ? { relative: { to: 'skin', depthSteps: 0 } }
                  : { lab: [...rounded(shown ?? START)] },
          })
        }
      />
      {shade !== null && 'relative' in shade ? (
        <>
          <Stepper
            label={msg`Deeper or lighter than the skin`}
            unit={msg`steps`}
            minimum={-6}
            maximum={6}
            step={0.5}
            value={shade.relative.depthSteps}
            onChange={(depthSteps) => change({ shade: { relative: { ...shade.relative, depthSteps } } })}
          />
          <Choice
            label={msg`Undertone`}
            options={[NO_UNDERTONE, ...UNDERTONES]}
            chosen={[shade.relative.undertone ?? NO_UNDERTONE]}
            onChange={([undertone]) => {
              const { undertone: _was, ...plain } = shade.relative;
              change({
                shade: {
                  relative:
                    undertone === undefined || undertone === NO_UNDERTONE ? plain : { ...plain, undertone },
                },
              });
            }}
          />
        </>
      ) : null}
      {shade !== null && 'lab' in shade ? (
        <ColourField
          key={step.id}
          start={shade.lab}
          button={msg`Take this colour`}
          onLab={(lab) => change({ shade: { lab: [...lab] } })}
        />
      ) : null}
      {shown ? (
        <Line flexWrap="nowrap">
          <Swatch lab={shown} size={36} label={msg`The colour asked for`} />
          <Label
            flex={1}
          >{msg`So it is asked for on ${chart.client.id === '' ? msg`the pattern face` : chart.client.name}`}</Label>
        </Line>
      ) : null}
      <Choice
        label={msg`Texture`}
        several
        options={TEXTURES}
        chosen={wants.textures ?? []}
        onChange={(textures) => want({ textures: textures.length > 0 ? textures : undefined })}
      />
      <Choice
        label={msg`Finish`}
        several
        options={FINISHES}
        chosen={wants.finishes ?? []}
        onChange={(finishes) => want({ finishes: finishes.length > 0 ? finishes : undefined })}
      />
      <Choice
        label={msg`How much it covers`}
        several
        options={COVERAGE_WORDS}
        chosen={wants.coverages ?? []}
        onChange={(coverages) => want({ coverages: coverages.length > 0 ? coverages : undefined })}
      />
      <Choice
        label={msg`Made of`}
        several
        options={FAMILIES}
        chosen={wants.families ?? []}
        onChange={(families) => want({ families: families.length > 0 ? families : undefined })}
      />
      <Switch
        label={msg`Two products may be mixed`}
        on={wants.mix === true}
        onToggle={() => want({ mix: wants.mix ? undefined : true })}
      />
      <Choice
        label={msg`Products that can do it`}
        several
        options={PRODUCT_KINDS}
        chosen={wants.kinds}
        onChange={(kinds) => want({ kinds })}
      />
      {wants.kinds.length === 0 ? (
        <Label>{msg`No product: done with what is there, or by hand.`}</Label>
      ) : null}
    </Column>
  );
}
