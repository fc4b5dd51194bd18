import { useEffect, useRef } from 'react';
import { isSettled, msg, productsInWords, type Step } from '@toile/core';
import { Body, Column, Label, Touch, useColours, View } from '../../ui';
import { Notch } from '../face/Notch';

type ChairStepsProps = {
  readonly steps: readonly Step[];
  readonly at: number;
  readonly onGo: (index: number) => void;
};

/** On a wide screen: every step with what is done of it; the one worked stays in view. */
export function ChairSteps({ steps, at, onGo }: ChairStepsProps) {
  const c = useColours();
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    list.current?.children[at]?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  return (
    <div ref={list} role="list" aria-label={msg`Steps`}>
      {steps.map((step, i) => {
        const on = i === at;
        const done = isSettled(step);
        return (
          <View key={step.id} role="listitem">
            <Touch
              role="button"
              aria-current={on ? 'step' : undefined}
              aria-label={msg`Step ${i + 1}, ${step.title}, ${productsInWords(step.use)}${done ? msg`, done` : ''}`}
              onPress={() => onGo(i)}
              look={({ pressed }) => ({
                minHeight: 52,
                flexDirection: 'row',
                gap: 10,
                paddingHorizontal: 12,
                paddingBottom: 6,
                borderBottomWidth: 1,
                borderBottomColor: c.line,
                borderLeftWidth: 4,
                borderLeftColor: on ? c.woad : 'transparent',
                backgroundColor: pressed || on ? c.raised : 'transparent',
              })}
            >
              <Notch kind={step.role} number={i + 1} />
              <Column gap={0} flex={1} paddingTop="$2">
                <Body textAlign="left" fontWeight={on ? '700' : '400'} color={done ? '$moss' : '$ink'}>
                  {`${done ? '✓ ' : ''}${step.title} `}
                </Body>
                <Label numberOfLines={1} textAlign="left">
                  {productsInWords(step.use)}
                </Label>
              </Column>
            </Touch>
          </View>
        );
      })}
    </div>
  );
}
