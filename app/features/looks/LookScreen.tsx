import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { outlineOf, PLAIN_FEATURES, TEMPLATE, type Look, type LookStep, type Shade } from '@toile/core';
import { useLook } from '../../data/hooks';
import { Body, Column, Judged, Label, Line, Ready, Screen, Subheading, useWide, View } from '../../ui';
import { FaceStage } from '../face/FaceStage';
import type { PaintedLayer } from '../face/FaceView';
import { Notch } from '../face/Notch';

/** One look on the pattern face, with its steps. */
export function LookScreen({ id }: { readonly id: string }) {
  const look = useLook(id);
  const router = useRouter();
  return (
    <Screen
      title={look.data?.look.name ?? 'Look'}
      above={look.data ? `Version ${look.data.look.version} by ${look.data.look.author}` : undefined}
      onBack={() => router.navigate('/looks')}
    >
      <Ready remote={look}>{(data) => <LookView look={data.look} />}</Ready>
    </Screen>
  );
}

/** A shade as it is said: '2.5 steps deeper than the skin'. */
export function shadeInWords(shade: Shade): string {
  if (shade === null) return 'no shade';
  if ('lab' in shade) return `a fixed colour, L* ${shade.lab[0]}`;
  const { depthSteps, undertone } = shade.relative;
  const steps =
    depthSteps === 0
      ? 'the skin’s own depth'
      : `${Math.abs(depthSteps)} ${Math.abs(depthSteps) === 1 ? 'step' : 'steps'} ${depthSteps > 0 ? 'deeper' : 'lighter'} than the skin`;
  return undertone ? `${steps}, ${undertone}` : steps;
}

/** A look's way of doing, said in full. */
function schoolsInWords({ eyesOrFace, contour, concealer, contrast }: Look['schools']): string {
  const contourWords = contour === 'none' ? 'no contour' : contour === 'bronzer only' ? 'bronzer instead of contour' : `contour ${contour}`;
  const text = [eyesOrFace, contourWords, `concealer ${concealer}`, `${contrast} contrast`].join(' · ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function LookView({ look }: { readonly look: Look }) {
  const wide = useWide();
  const layers = useMemo(() => look.steps.filter((s) => s.variant === undefined).flatMap(layerOnPattern), [look]);
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap="$5">
      <Column flex={wide ? 1 : undefined} gap="$3">
        <Judged padding={0}>
          <FaceStage landmarks={TEMPLATE} features={PLAIN_FEATURES} layers={layers} height={wide ? 520 : 360} label={`${look.name} on the pattern face`} />
        </Judged>
        <Body>{look.description}</Body>
        <Label>{schoolsInWords(look.schools)}</Label>
        {look.forbids.finishes.length + look.forbids.kinds.length > 0 ? (
          <Body color="$weld">{`▲ Never: ${[...look.forbids.finishes, ...look.forbids.kinds].join(', ')}.`}</Body>
        ) : null}
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$2">
        <Subheading>{`${look.steps.length} steps`}</Subheading>
        {look.steps.map((step, i) => (
          <Line key={step.id} flexWrap="nowrap" alignItems="flex-start" borderTopWidth={1} borderTopColor="$line">
            <Notch kind={step.role} number={i + 1} />
            <Column gap={0} flex={1} paddingVertical="$2">
              <Body>{step.variant ? `${step.title} (variant)` : step.title}</Body>
              <Label>
                {[step.wants.kinds.join(' or '), shadeInWords(step.shade), step.tool === 'none' ? null : step.tool, `${step.handsOnMinutes} min`]
                  .filter(Boolean)
                  .join(' · ')}
              </Label>
            </Column>
          </Line>
        ))}
      </Column>
    </View>
  );
}

function layerOnPattern(step: LookStep): PaintedLayer[] {
  if (step.role === 'care') return [];
  return [{ id: step.id, kind: step.role, shapes: step.placements.flatMap((p) => outlineOf(p, TEMPLATE)), colour: null }];
}
