import { useId, useState } from 'react';
import { TextInput } from 'react-native';
import { Column } from './layout';
import { Body, Label } from './Text';
import { useColours } from './theme';

export type FieldProps = {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly error?: string | undefined;
  readonly hint?: string;
  readonly unit?: string;
  readonly secret?: boolean;
  readonly lines?: number;
  readonly keyboard?: 'text' | 'decimal' | 'email' | 'tel';
  readonly placeholder?: string;
  readonly onFocus?: () => void;
  readonly onBlur?: () => void;
  readonly onSubmit?: () => void;
  readonly autoFocus?: boolean;
};

/** A labelled text field; what is wrong stands under it, in words and with a mark. */
export function Field(props: FieldProps) {
  const { label, value, onChange, error, hint, unit, secret = false, lines = 1, keyboard = 'text' } = props;
  const c = useColours();
  const id = useId();
  const [focused, setFocused] = useState(false);
  return (
    <Column gap="$1" flexGrow={1}>
      <Label render={<label htmlFor={id} />}>{unit ? `${label}, ${unit}` : label}</Label>
      <TextInput
        id={id}
        aria-label={unit ? `${label}, ${unit}` : label}
        aria-invalid={error !== undefined}
        aria-errormessage={error ? `${id}-error` : undefined}
        value={value}
        onChangeText={onChange}
        onFocus={() => {
          setFocused(true);
          props.onFocus?.();
        }}
        onBlur={() => {
          setFocused(false);
          props.onBlur?.();
        }}
        onSubmitEditing={props.onSubmit}
        autoFocus={props.autoFocus}
        placeholder={props.placeholder}
        placeholderTextColor={c.inkSoft}
        secureTextEntry={secret}
        multiline={lines > 1}
        numberOfLines={lines}
        inputMode={keyboard}
        autoCapitalize={keyboard === 'email' || secret ? 'none' : 'sentences'}
        style={{
          minHeight: lines > 1 ? 22 * lines + 22 : 46,
          paddingHorizontal: 12,
          paddingVertical: 10,
          borderWidth: focused ? 2 : 1,
          borderColor: error ? c.madder : focused ? c.woad : c.inkSoft,
          borderRadius: 2,
          backgroundColor: c.surface,
          color: c.ink,
          fontFamily: 'Atkinson, sans-serif',
          fontSize: 16,
        }}
      />
      {error ? (
        <Body id={`${id}-error`} role="alert" color="$madder" fontSize="$2" lineHeight="$2">
          {`▲ ${error}`}
        </Body>
      ) : hint ? (
        <Label fontSize="$1" lineHeight="$1">
          {hint}
        </Label>
      ) : null}
    </Column>
  );
}
