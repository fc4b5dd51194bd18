import { Pressable } from 'react-native';
import { colourOfUse, productsInWords, type Step } from '@toile/core';
import { Body, Column, Figure, Label, Swatch, useColours } from '../../ui';
import { Notch } from '../face/Notch';

type StepListProps = {
  readonly steps: readonly Step[];
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
  readonly renderDrawer?: (step: Step) => React.ReactNode;
};

/** Steps in order, each under its notch; the selected one opens where it stands. */
export function StepList({ steps, selected, onSelect, renderDrawer }: StepListProps) {
  const c = useColours();
  return (
    <Column gap={0} role="list" aria-label="Steps">
      {steps.map((step, i) => {
        const on = step.id === selected;
        return (
          <Column key={step.id} gap={0} role="listitem" borderBottomWidth={1} borderBottomColor="$line">
            <Pressable
              role="button"
              aria-expanded={on}
              aria-label={`Step ${i + 1}, ${step.title}: ${productsInWords(step.use)}`}
              onPress={() => onSelect(on ? null : step.id)}
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
              <Notch kind={step.role} number={i + 1} />
              <Column gap={0} flex={1} paddingTop="$2">
                <Body textAlign="left" fontWeight={on ? '700' : '400'}>
                  {step.title}
                </Body>
                <Label textAlign="left">{productsInWords(step.use)}</Label>
              </Column>
              <Column gap={0} alignItems="flex-end" paddingTop="$2" flexDirection="row">
                {colourOfUse(step.use) ? <Swatch lab={colourOfUse(step.use)} size={28} /> : null}
                <Figure width={52} textAlign="right" fontSize="$2" color="$inkSoft">{`${step.handsOnMinutes} min`}</Figure>
              </Column>
            </Pressable>
            {on && renderDrawer ? renderDrawer(step) : null}
          </Column>
        );
      })}
    </Column>
  );
}
