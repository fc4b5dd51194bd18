import { useEffect, useRef, useState } from 'react';
import { Pressable } from 'react-native';
import { colourOfUse, msg, productsInWords, type Step } from '@toile/core';
import { Body, Column, Figure, Grip, Label, Line, Swatch, useColours, View } from '../../ui';
import { Notch } from '../face/Notch';

type StepListProps = {
  readonly steps: readonly Step[];
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
  /** Puts a step where another one stands; without it the order cannot be changed here. */
  readonly onMove?: (id: string, toPlaceOf: string) => void;
  /** What a step is done with, in words: its products unless something else is said. */
  readonly wordsOf?: (step: Step) => string;
  readonly renderDrawer?: (step: Step) => React.ReactNode;
  /** Height of what stays at the top while the list goes by, px; without it nothing is scrolled. */
  readonly keptAbovePx?: number;
};

/** Which row a point down the page lies on. */
export function rowAt(y: number, rows: readonly { readonly top: number; readonly bottom: number }[]): number {
  const at = rows.findIndex(({ bottom }) => y < bottom);
  return at < 0 ? rows.length - 1 : at;
}

const reducedMotion = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

type Held = { readonly id: string; readonly over: number };

/**
 * Steps in order, each under its notch; the selected one opens where it stands; each can be dragged to
 * another place.
 */
export function StepList({
  steps,
  selected,
  onSelect,
  onMove,
  wordsOf = (step) => productsInWords(step.use),
  renderDrawer,
  keptAbovePx,
}: StepListProps) {
  const list = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<Held | null>(null);
  const grabbed = useRef<{ readonly y: number; readonly rows: readonly DOMRect[] } | null>(null);
  const grip = (step: Step, i: number) => (
    <Grip
      label={msg`Move step ${i + 1}, ${step.title}`}
      onStart={() => {
        const rows = [...(list.current?.querySelectorAll('[data-step]') ?? [])].map((row) =>
          row.getBoundingClientRect(),
        );
        const own = rows[i];
        if (!own) return;
        grabbed.current = { y: own.top + 26, rows };
        setHeld({ id: step.id, over: i });
      }}
      onDrag={(dy) => {
        if (grabbed.current)
          setHeld({ id: step.id, over: rowAt(grabbed.current.y + dy, grabbed.current.rows) });
      }}
      onEnd={() => {
        const target = held ? steps[held.over] : undefined;
        setHeld(null);
        grabbed.current = null;
        if (target && target.id !== step.id) onMove?.(step.id, target.id);
      }}
      onNudge={(by) => {
        const target = steps[i + by];
        if (target) onMove?.(step.id, target.id);
      }}
    />
  );
  const scrolls = keptAbovePx !== undefined;
  // An opened step goes right under what stays at the top, so that face and step are seen together.
  useEffect(() => {
    if (selected === null || !scrolls) return;
    list.current
      ?.querySelector(`[data-step="${CSS.escape(selected)}"]`)
      ?.scrollIntoView({ block: 'start', behavior: reducedMotion() ? 'auto' : 'smooth' });
  }, [selected, scrolls]);
  const heldAt = steps.findIndex((s) => s.id === held?.id);
  return (
    <div ref={list} role="list" aria-label={msg`Steps`}>
      {steps.map((step, i) => {
        const on = step.id === selected;
        const target = held !== null && held.over === i && heldAt !== i;
        return (
          <Column
            key={step.id}
            gap={0}
            role="listitem"
            borderBottomWidth={target && heldAt < i ? 3 : 1}
            borderBottomColor={target && heldAt < i ? '$woad' : '$line'}
            borderTopWidth={target && heldAt > i ? 3 : 0}
            borderTopColor="$woad"
            opacity={held?.id === step.id ? 0.45 : 1}
          >
            <div data-step={step.id} style={{ scrollMarginTop: keptAbovePx }}>
              <Line flexWrap="nowrap" gap={0} alignItems="flex-start">
                <View flex={1} minWidth={0}>
                  <StepRow
                    step={step}
                    words={wordsOf(step)}
                    number={i + 1}
                    on={on}
                    onPress={() => onSelect(on ? null : step.id)}
                  />
                </View>
                {onMove ? grip(step, i) : null}
              </Line>
            </div>
            {on && renderDrawer ? renderDrawer(step) : null}
          </Column>
        );
      })}
    </div>
  );
}

function StepRow({
  step,
  words,
  number,
  on,
  onPress,
}: {
  readonly step: Step;
  readonly words: string;
  readonly number: number;
  readonly on: boolean;
  readonly onPress: () => void;
}) {
  const c = useColours();
  const lab = colourOfUse(step.use);
  return (
    <Pressable
      role="button"
      aria-expanded={on}
      aria-label={msg`Step ${number}, ${step.title}: ${[step.optional ? msg`if wanted` : null, words].filter(Boolean).join(' · ')}, ${step.handsOnMinutes} min`}
      onPress={onPress}
      style={{
        minHeight: 60,
        flexDirection: 'row',
        alignItems: 'flex-start',
        gap: 10,
        paddingBottom: 8,
        borderTopWidth: 1,
        borderTopColor: on ? c.ink : 'transparent',
      }}
    >
      <Notch kind={step.role} number={number} />
      <Column gap={0} flex={1} paddingTop="$2">
        <Body textAlign="left" fontWeight={on ? '700' : '400'}>
          {`${step.title} `}
        </Body>
        <Label textAlign="left">
          {`${[step.optional ? msg`if wanted` : null, words].filter(Boolean).join(' · ')} `}
        </Label>
      </Column>
      <Column gap={0} alignItems="flex-end" paddingTop="$2" flexDirection="row">
        {lab ? <Swatch lab={lab} size={28} /> : null}
        <Figure
          width={52}
          textAlign="right"
          fontSize="$2"
          color="$inkSoft"
        >{msg`${step.handsOnMinutes} min`}</Figure>
      </Column>
    </Pressable>
  );
}
