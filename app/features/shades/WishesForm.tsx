import { useState } from 'react';
import {
  COVERAGE_WORDS,
  DEFAULT_WEIGHTS,
  FAMILIES,
  FINISHES,
  guideNamed,
  messages,
  msg,
  term,
  TEXTURES,
  type MatchWishes,
  type TargetWeights,
} from '@toile/core';
import { Button, Choice, Column, Label, Line, Stepper, useWide, View } from '../../ui';

const COVERAGE = ['usual layer', 'sheer', 'light', 'medium', 'full'] as const;
const ZONES = ['wholeFace', 'neck', 'decollete'] as const;
const ZONE_WORDS = messages({ wholeFace: 'face', neck: 'neck', decollete: 'decollete' } as const);
const WEIGHTED = ['face', 'neck', 'decollete'] as const;

type WishesFormProps = { readonly wishes: MatchWishes; readonly onChange: (wishes: MatchWishes) => void };

/** What the match has to agree with and meet: shown as a line, opened to change. */
export function WishesForm({ wishes, onChange }: WishesFormProps) {
  const [open, setOpen] = useState(false);
  const wide = useWide();
  const { weights = DEFAULT_WEIGHTS, filter = {}, zones = [], coverage = null } = wishes;
  const total = weights.face + weights.neck + weights.decollete;
  const set = (more: Partial<MatchWishes>): void => onChange({ ...wishes, ...more });
  const setWeight = (part: keyof TargetWeights, value: number): void =>
    set({ weights: { ...weights, [part]: value } });
  const limits = [
    ...(filter.textures ?? []),
    ...(filter.finishes ?? []),
    ...(filter.coverages ?? []),
    ...(filter.families ?? []),
  ];
  return (
    <Column gap="$2">
      <Line justifyContent="space-between" flexWrap="nowrap">
        <Label flex={1}>
          {msg`Agrees with ${WEIGHTED.filter((p) => weights[p] > 0)
            .map((p) => `${term(p)} ${Math.round((100 * weights[p]) / total)} %`)
            .join(
              ', ',
            )}. For ${zones.map((z) => (z in ZONE_WORDS ? ZONE_WORDS[z as keyof typeof ZONE_WORDS] : guideNamed(`zone.${z}`).label.toLowerCase())).join(', ')}, ${term(coverage ?? 'usual layer')}${limits.length > 0 ? msg`; only ${limits.map((one) => term(one)).join(', ')}` : ''}.`}
        </Label>
        <Button label={msg`Change what is asked`} onPress={() => setOpen((o) => !o)}>
          {open ? msg`Close` : msg`Change`}
        </Button>
      </Line>
      {open ? (
        <Column gap="$3" borderWidth={1} borderColor="$line" padding="$3">
          <Line gap="$4">
            {WEIGHTED.map((part) => (
              <Stepper
                key={part}
                label={msg`Weight of the ${term(part)}`}
                value={weights[part]}
                unit="%"
                minimum={part === 'face' ? 10 : 0}
                maximum={100}
                step={10}
                onChange={(value) => setWeight(part, value)}
              />
            ))}
          </Line>
          <View flexDirection={wide ? 'row' : 'column'} gap="$4">
            <Choice
              label={msg`Where it goes`}
              several
              options={ZONES}
              words={ZONE_WORDS}
              chosen={ZONES.filter((z) => zones.includes(z))}
              onChange={(chosen) => chosen.length > 0 && set({ zones: chosen })}
            />
            <Choice
              label={msg`Coverage wanted`}
              options={COVERAGE}
              chosen={[coverage === null || coverage === 'opaque' ? 'usual layer' : coverage]}
              onChange={([c]) => set({ coverage: c === undefined || c === 'usual layer' ? null : c })}
            />
          </View>
          <Choice
            label={msg`Only these textures`}
            several
            options={TEXTURES}
            chosen={[...(filter.textures ?? [])]}
            onChange={(textures) => set({ filter: { ...filter, textures } })}
          />
          <Choice
            label={msg`Only these finishes`}
            several
            options={FINISHES}
            chosen={[...(filter.finishes ?? [])]}
            onChange={(finishes) => set({ filter: { ...filter, finishes } })}
          />
          <Choice
            label={msg`Only these coverages`}
            several
            options={COVERAGE_WORDS}
            chosen={[...(filter.coverages ?? [])]}
            onChange={(coverages) => set({ filter: { ...filter, coverages } })}
          />
          <Choice
            label={msg`Only these families`}
            several
            options={FAMILIES}
            chosen={[...(filter.families ?? [])]}
            onChange={(families) => set({ filter: { ...filter, families } })}
          />
        </Column>
      ) : null}
    </Column>
  );
}
