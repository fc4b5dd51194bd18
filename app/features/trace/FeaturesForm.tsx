import {
  AGES,
  BROWS,
  DRY_ZONES,
  EYE_SHAPES,
  featuresOn,
  HAIR_STYLES,
  HAIR_TONES,
  LASHES,
  LIDS,
  LINES,
  LIP_EDGES,
  messages,
  msg,
  NOSES,
  OILY_ZONES,
  term,
  type Features,
  type SidedFeatures,
} from '@toile/core';
import { Choice, Column, Label, Subheading, Switch } from '../../ui';

type FeaturesFormProps = { readonly features: Features; readonly onChange: (features: Features) => void };

const NOTED = messages({
  dry: 'dry skin all over',
  lenses: 'contact lenses',
  headTremor: 'head tremor',
  beard: 'beard',
  cannotRecline: 'cannot lie back',
} as const satisfies Partial<Record<keyof Features, string>>);
const NOTES = [
  'dry',
  'lenses',
  'headTremor',
  'beard',
  'cannotRecline',
] as const satisfies readonly (keyof typeof NOTED)[];

/** What is noted of a face beside its measurements; what may differ from side to side can be said of each. */
export function FeaturesForm({ features, onChange }: FeaturesFormProps) {
  const one = <K extends 'nose' | 'hair' | 'hairTone' | 'age'>(
    key: K,
    label: string,
    options: readonly Features[K][],
  ) => (
    <Choice
      label={label}
      options={options}
      chosen={[features[key]]}
      onChange={([value]) => value && onChange({ ...features, [key]: value })}
    />
  );
  const lids = (side: 'left' | 'right') => (
    <Choice
      label={msg`Lids, client’s ${term(side)}`}
      options={LIDS}
      chosen={[features.lids[side]]}
      onChange={([value]) => value && onChange({ ...features, lids: { ...features.lids, [side]: value } })}
    />
  );
  return (
    <Column gap="$4">
      <Subheading>{msg`Features`}</Subheading>
      {lids('left')}
      {lids('right')}
      <SidedChoices
        of={features.right ? msg`client’s left` : null}
        features={features}
        onChange={(said) => onChange({ ...features, ...said })}
      />
      <Switch
        label={msg`The client’s right differs`}
        on={features.right !== undefined}
        onToggle={() => onChange(features.right ? evenly(features) : { ...features, right: {} })}
      />
      {features.right ? (
        <SidedChoices
          of={msg`client’s right`}
          features={featuresOn('right', features)}
          onChange={(said) => onChange({ ...features, right: { ...features.right, ...said } })}
        />
      ) : null}
      {one('nose', msg`Nose`, NOSES)}
      {one('hair', msg`Hair`, HAIR_STYLES)}
      {one('hairTone', msg`Hair tone`, HAIR_TONES)}
      {one('age', msg`Age`, AGES)}
      <Choice
        label={msg`Lashes`}
        options={LASHES}
        chosen={features.lashes ? [features.lashes] : []}
        onChange={([lashes]) => lashes && onChange({ ...features, lashes })}
      />
      <Choice
        label={msg`Oily`}
        several
        options={OILY_ZONES}
        chosen={features.oily}
        onChange={(oily) => onChange({ ...features, oily })}
      />
      {features.dry ? null : (
        <Choice
          label={msg`Dry`}
          several
          options={DRY_ZONES}
          chosen={features.dryZones ?? []}
          onChange={(dryZones) => onChange({ ...features, dryZones })}
        />
      )}
      <Choice
        label={msg`Also`}
        several
        options={NOTES}
        words={NOTED}
        chosen={NOTES.filter((note) => features[note] === true)}
        onChange={(chosen) =>
          onChange({ ...features, ...Object.fromEntries(NOTES.map((note) => [note, chosen.includes(note)])) })
        }
      />
    </Column>
  );
}

function evenly({ right: _differing, ...features }: Features): Features {
  return features;
}

type SidedChoicesProps = {
  /** Whose side this is, or null when both are alike. */
  readonly of: string | null;
  readonly features: Features;
  readonly onChange: (said: SidedFeatures) => void;
};

function SidedChoices({ of, features, onChange }: SidedChoicesProps) {
  const named = (label: string): string => (of ? `${label}, ${of}` : label);
  return (
    <Column
      gap="$3"
      borderLeftWidth={of ? 3 : 0}
      borderLeftColor="$woad"
      paddingLeft={of ? '$3' : 0}
      role="group"
      aria-label={of ?? msg`Both sides`}
    >
      {of ? <Label>{msg`On the ${of}`}</Label> : null}
      <Choice
        label={named(msg`Eyes`)}
        options={EYE_SHAPES}
        chosen={[features.eyes]}
        onChange={([eyes]) => eyes && onChange({ eyes })}
      />
      <Choice
        label={named(msg`Brows`)}
        options={BROWS}
        chosen={[features.brows]}
        onChange={([brows]) => brows && onChange({ brows })}
      />
      <Choice
        label={named(msg`Lip edge`)}
        options={LIP_EDGES}
        chosen={[features.lipEdge ?? 'clear']}
        onChange={([lipEdge]) => lipEdge && onChange({ lipEdge })}
      />
      <Choice
        label={named(msg`Lines`)}
        several
        options={LINES}
        chosen={features.lines}
        onChange={(lines) => onChange({ lines })}
      />
      <Choice
        label={named(msg`Temples`)}
        options={['even', 'narrow']}
        chosen={[features.narrowTemples ? 'narrow' : 'even']}
        onChange={([temples]) => temples && onChange({ narrowTemples: temples === 'narrow' })}
      />
      <Choice
        label={named(msg`Texture`)}
        options={['smooth', 'textured']}
        chosen={[features.texture]}
        onChange={([texture]) => texture && onChange({ texture })}
      />
    </Column>
  );
}
