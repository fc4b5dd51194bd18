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
  /** A date or a time is picked by the browser's own picker, which gives YYYY-MM-DD or HH:MM or nothing. */
  readonly keyboard?: 'text' | 'decimal' | 'email' | 'tel' | 'date' | 'time';
  readonly autoComplete?: 'username' | 'current-password' | 'name' | 'email' | 'tel' | 'off';
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
  const described = {
    id,
    'aria-label': unit ? `${label}, ${unit}` : label,
    'aria-invalid': error !== undefined,
    'aria-errormessage': error ? `${id}-error` : undefined,
    autoFocus: props.autoFocus,
  } as const;
  const style = {
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
  } as const;
  const focus = {
    onFocus: () => {
      setFocused(true);
      props.onFocus?.();
    },
    onBlur: () => {
      setFocused(false);
      props.onBlur?.();
    },
  };
  return (
    <Column gap="$1" flexGrow={1}>
      <Label render={<label htmlFor={id} />}>{unit ? `${label}, ${unit}` : label}</Label>
      {keyboard === 'date' || keyboard === 'time' ? (
        <input
          {...described}
          {...focus}
          type={keyboard}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          style={{
            ...style,
            padding: '10px 12px',
            borderStyle: 'solid',
            boxSizing: 'border-box',
            width: '100%',
          }}
        />
      ) : (
        <TextInput
          {...described}
          {...focus}
          value={value}
          onChangeText={onChange}
          onSubmitEditing={props.onSubmit}
          placeholder={props.placeholder}
          placeholderTextColor={c.inkSoft}
          secureTextEntry={secret}
          multiline={lines > 1}
          numberOfLines={lines}
          inputMode={keyboard}
          autoComplete={props.autoComplete}
          autoCapitalize={keyboard === 'email' || secret ? 'none' : 'sentences'}
          style={style}
        />
      )}
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
