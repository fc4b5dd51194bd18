import { term } from '@toile/core';
import { Pressable } from 'react-native';
import { Column, Line } from './layout';
import { Body, Label } from './Text';
import { useColours } from './theme';

type ChoiceProps<T extends string> = {
  readonly label: string;
  readonly options: readonly T[];
  readonly chosen: readonly T[];
  readonly onChange: (chosen: T[]) => void;
  /** Several may be chosen. */
  readonly several?: boolean;
  readonly words?: Partial<Record<T, string>>;
};

/** Options as marks to touch: one, or several. The chosen ones are filled and ticked. */
export function Choice<T extends string>({
  label,
  options,
  chosen,
  onChange,
  several = false,
  words,
}: ChoiceProps<T>) {
  const c = useColours();
  const toggle = (option: T): void => {
    if (!several) onChange([option]);
    else onChange(chosen.includes(option) ? chosen.filter((o) => o !== option) : [...chosen, option]);
  };
  return (
    <Column gap="$1" role={several ? 'group' : 'radiogroup'} aria-label={label}>
      <Label>{label}</Label>
      <Line gap="$2">
        {options.map((option) => {
          const on = chosen.includes(option);
          return (
            <Pressable
              key={option}
              role={several ? 'checkbox' : 'radio'}
              aria-checked={on}
              aria-label={words?.[option] ?? term(option)}
              onPress={() => toggle(option)}
              style={{
                minHeight: 44,
                minWidth: 44,
                maxWidth: '100%',
                paddingHorizontal: 12,
                justifyContent: 'center',
                borderWidth: 1,
                borderRadius: 2,
                borderColor: on ? c.ink : c.line,
                backgroundColor: on ? c.ink : c.surface,
              }}
            >
              <Body
                color={on ? '$onInk' : '$ink'}
              >{`${on ? '✓ ' : ''}${words?.[option] ?? term(option)}`}</Body>
            </Pressable>
          );
        })}
      </Line>
    </Column>
  );
}
