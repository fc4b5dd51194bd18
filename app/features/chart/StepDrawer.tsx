import { useRouter } from 'expo-router';
import { Pressable } from 'react-native';
import {
  describePlacement,
  GUIDE_PARAMETERS,
  guideNamed,
  INITIAL_PARAMS,
  productsInWords,
  wantedColour,
  type Chart,
  type Kit,
  type Placement,
  type Proposal,
  type Step,
} from '@toile/core';
import { Body, Button, Column, Field, Judged, Label, Line, Stepper, Subheading, Swatch, useColours } from '../../ui';
import { amountInWords, withNote, withPlacement, withUse } from './chartView';
import { useProposals } from './useProposals';

type StepDrawerProps = {
  readonly chart: Chart;
  readonly step: Step;
  readonly kit: Kit | undefined;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
};

/** What is decided in one step: product, place, dose, note. */
export function StepDrawer({ chart, step, kit, editable, onChange }: StepDrawerProps) {
  const router = useRouter();
  return (
    <Column gap="$4" paddingVertical="$2">
      <Column gap="$1">
        <Body>{productsInWords(step.use)}</Body>
        <Label>
          {[
            step.use.length > 0 ? amountInWords(step.use) : null,
            step.tool === 'none' ? null : step.tool,
            step.technique,
            `${step.handsOnMinutes} min`,
            step.waitMinutes > 0 ? `then wait ${step.waitMinutes} min` : null,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Label>
      </Column>
      {step.role === 'base' && editable ? (
        <Button onPress={() => router.navigate(`/clients/${chart.client.id}/shades?chart=${chart.id}&step=${step.id}`)}>Match and mix in full</Button>
      ) : null}
      {editable
        ? step.use.map(({ product }) => (
            <Button key={product.id} onPress={() => router.navigate(`/kit/products/${product.id}/substitute?chart=${chart.id}`)}>
              {`Find a substitute for ${product.line} ${product.shade}`}
            </Button>
          ))
        : null}
      {step.wants.kinds.length > 0 && editable ? (
        <ProposalList chart={chart} step={step} kit={kit} onPick={(proposal) => onChange(withUse(chart, step.id, proposal.use))} />
      ) : null}
      {step.placements.map((placement, i) => (
        <PlacementControls key={i} placement={placement} editable={editable} onChange={(next) => onChange(withPlacement(chart, step.id, i, next))} />
      ))}
      {editable ? (
        <Field label="Note" value={step.note} lines={2} onChange={(note) => onChange(withNote(chart, step.id, note))} />
      ) : step.note ? (
        <Body>{step.note}</Body>
      ) : null}
    </Column>
  );
}

function ProposalList({
  chart,
  step,
  kit,
  onPick,
}: {
  readonly chart: Chart;
  readonly step: Step;
  readonly kit: Kit | undefined;
  readonly onPick: (proposal: Proposal) => void;
}) {
  const c = useColours();
  const wanted = wantedColour(step, chart.client);
  const { list, error } = useProposals(step, chart, kit);
  const chosen = step.use.map((u) => `${u.product.id} ${u.parts}`).join();
  if (error) return <Body color="$madder">{`▲ ${error}`}</Body>;
  if (!list) return <Label aria-live="polite">Matching the kit</Label>;
  if (list.length === 0) return <Body color="$weld">▲ Nothing in the kit can do this.</Body>;
  return (
    <Column gap={0} role="radiogroup" aria-label="Products proposed">
      <Label>{wanted ? 'Proposed, each beside the colour asked for; how far off in daylight, by a model' : 'Proposed'}</Label>
      <Judged padding="$1" gap="$1">
        {list.map((proposal) => {
          const key = proposal.use.map((u) => `${u.product.id} ${u.parts}`).join();
          const on = key === chosen;
          return (
            <Pressable
              key={key}
              role="radio"
              aria-checked={on}
              aria-label={`${productsInWords(proposal.use)}, ${proposal.reasons.join(', ')}`}
              onPress={() => onPick(proposal)}
              style={{
                minHeight: 56,
                flexDirection: 'row',
                gap: 10,
                alignItems: 'center',
                padding: 4,
                backgroundColor: c.surface,
                borderLeftWidth: 4,
                borderLeftColor: on ? c.woad : c.surface,
              }}
            >
              {proposal.lab ? <Swatch lab={proposal.lab} beside={wanted} label="proposed colour beside the colour asked for" /> : null}
              <Column gap={0} flex={1}>
                <Body fontSize="$2" lineHeight="$2" fontWeight={on ? '700' : '400'}>{`${on ? '✓ ' : ''}${productsInWords(proposal.use)}`}</Body>
                <Label fontSize="$1" lineHeight="$1">
                  {[amountInWords(proposal.use), ...proposal.reasons].join(' · ')}
                </Label>
              </Column>
            </Pressable>
          );
        })}
      </Judged>
    </Column>
  );
}

function PlacementControls({
  placement,
  editable,
  onChange,
}: {
  readonly placement: Placement;
  readonly editable: boolean;
  readonly onChange: (placement: Placement) => void;
}) {
  const words = describePlacement(placement);
  const sentence = words.charAt(0).toUpperCase() + words.slice(1);
  if (!('guide' in placement) || !editable) return <Label>{sentence}</Label>;
  const adjustable = guideNamed(placement.guide).adjustable;
  const params = { ...INITIAL_PARAMS, ...placement.params };
  return (
    <Column gap="$2">
      <Subheading fontSize="$2" lineHeight="$2">
        {sentence}
      </Subheading>
      <Line gap="$4">
        {adjustable.map((name) => {
          const spec = GUIDE_PARAMETERS[name];
          return (
            <Stepper
              key={name}
              label={spec.label}
              unit={spec.unit}
              minimum={spec.minimum}
              maximum={spec.maximum}
              step={spec.step}
              value={Math.round(params[name] * 10) / 10}
              onChange={(value) => onChange({ ...placement, params: { ...params, [name]: value } })}
            />
          );
        })}
      </Line>
    </Column>
  );
}
