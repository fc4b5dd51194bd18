import {
  COVERAGE_WORDS,
  FAMILIES,
  FINISHES,
  MEASURES,
  PRODUCT_KINDS,
  proposedProperties,
  TEXTURES,
  type Lab,
} from '@toile/core';
import { Body, Button, Choice, Column, Field, Label, Line, Swatch, Switch, useWide, View } from '../../ui';
import { FLASH_WORDS } from '../words/flash';
import { ofKind, type ProductForm, type Stated } from './productForm';

type ProductFieldsProps = {
  readonly form: ProductForm;
  readonly errors: Readonly<Record<string, string>>;
  readonly onChange: (form: ProductForm) => void;
};

const GRADES = ['', '0', '1', '2', '3'] as const;
const GRADE_WORDS = {
  '': 'not tried',
  0: `0, ${FLASH_WORDS[0]}`,
  1: `1, ${FLASH_WORDS[1]}`,
  2: `2, ${FLASH_WORDS[2]}`,
  3: `3, ${FLASH_WORDS[3]}`,
};

const withValue = ([L, a, b]: ProductForm['lab'], at: number, value: string): ProductForm['lab'] => [
  at === 0 ? value : L,
  at === 1 ? value : a,
  at === 2 ? value : b,
];

/** Every field of a product, each with what is wrong beside it. */
export function ProductFields({ form, errors, onChange }: ProductFieldsProps) {
  const wide = useWide();
  const set = (more: Partial<ProductForm>): void => onChange({ ...form, ...more });
  const text = (
    name: 'maker' | 'line' | 'shade' | 'mgPerMeasure' | 'tintingStrength' | 'monthsAfterOpening',
    label: string,
    unit?: string,
  ) => (
    <View flex={1} flexBasis={wide ? 0 : '100%'} minWidth={140}>
      <Field
        label={label}
        unit={unit}
        keyboard={
          name === 'mgPerMeasure' || name === 'tintingStrength' || name === 'monthsAfterOpening'
            ? 'decimal'
            : 'text'
        }
        value={form[name]}
        onChange={(value) => set({ [name]: value })}
        error={errors[name]}
      />
    </View>
  );
  const lab = form.lab.map((v) => Number(v.replace(',', '.')));
  const shown: Lab | null =
    form.lab.every((v) => v.trim() !== '') && lab.every(Number.isFinite) ? [lab[0]!, lab[1]!, lab[2]!] : null;
  return (
    <Column gap="$4">
      <Line alignItems="flex-start">
        {text('maker', 'Maker')}
        {text('line', 'Line')}
        {text('shade', 'Shade')}
      </Line>
      <Choice
        label="Kind"
        options={PRODUCT_KINDS}
        chosen={[form.kind]}
        onChange={([kind]) => kind && onChange(ofKind(form, kind))}
      />
      <Column gap="$2">
        <Label>Colour of a thick layer, read or typed; leave it empty for what has none</Label>
        <Line alignItems="flex-start" flexWrap="nowrap">
          <Swatch lab={shown} size={52} label="colour as typed" />
          {(['L*', 'a*', 'b*'] as const).map((name, i) => (
            <View key={name} flex={1} flexBasis={0} minWidth={0}>
              <Field
                label={name}
                keyboard="decimal"
                value={form.lab[i]!}
                onChange={(value) => set({ lab: withValue(form.lab, i, value) })}
              />
            </View>
          ))}
        </Line>
        {errors.lab ? <Body role="alert" color="$madder">{`▲ ${errors.lab}`}</Body> : null}
      </Column>
      <Choice
        label="Coverage"
        options={COVERAGE_WORDS}
        chosen={[form.coverage]}
        onChange={([coverage]) => coverage && set({ coverage })}
      />
      <Choice
        label="Finish"
        options={FINISHES}
        chosen={[form.finish]}
        onChange={([finish]) => finish && set({ finish })}
      />
      <Choice
        label="Texture"
        options={TEXTURES}
        chosen={[form.texture]}
        onChange={([texture]) => texture && set({ texture })}
      />
      <Choice
        label="Family"
        options={FAMILIES}
        chosen={[form.family]}
        onChange={([family]) => family && set({ family })}
      />
      <Field
        label="Ingredients, by commas, as the maker lists them"
        lines={2}
        value={form.ingredients}
        onChange={(ingredients) => set({ ingredients })}
        error={Object.entries(errors).find(([path]) => path.startsWith('ingredients'))?.[1]}
        hint="Clients’ sensitivities are looked up in it; the maker’s own list decides."
      />
      <Choice
        label="Taken by"
        options={MEASURES}
        chosen={[form.measure]}
        onChange={([measure]) => measure && set({ measure })}
      />
      <Line alignItems="flex-start">
        {text('mgPerMeasure', `One ${form.measure} holds`, 'mg')}
        {text('monthsAfterOpening', 'Good for, once opened', 'months')}
        {text('tintingStrength', 'Tinting strength in a mix')}
      </Line>
      <WearFields form={form} errors={errors} set={set} />
      <Choice
        label="In a flash, by your own photos"
        options={GRADES}
        words={GRADE_WORDS}
        chosen={[form.flashGrade]}
        onChange={([flashGrade]) => flashGrade !== undefined && set({ flashGrade })}
      />
      <Column gap={0}>
        <Switch
          label="Meant for the eye area"
          on={form.eyeSafe}
          onToggle={() => set({ eyeSafe: !form.eyeSafe })}
        />
        <Switch label="Single use" on={form.singleUse} onToggle={() => set({ singleUse: !form.singleUse })} />
      </Column>
    </Column>
  );
}

const STATED = ['', 'yes', 'no'] as const;
const SHARES = ['', '1', '0.5', '0.25'] as const;

/**
 * How it wears and how little of it can be taken; what nobody has stated is proposed from its make and name,
 * to be confirmed.
 */
function WearFields({
  form,
  errors,
  set,
}: {
  readonly form: ProductForm;
  readonly errors: Readonly<Record<string, string>>;
  readonly set: (more: Partial<ProductForm>) => void;
}) {
  const { kind, line, shade, finish, coverage, texture, family, measure } = form;
  const proposed = proposedProperties({ kind, line, shade, finish, coverage, texture, family, measure });
  const said = (value: boolean): Stated => (value ? 'yes' : 'no');
  const open =
    form.wearHours === '' || form.waterproof === '' || form.transferProof === '' || form.smallestShare === '';
  const share = SHARES.find((s) => Number(s) === proposed.smallestShare) ?? '1';
  const confirm = (): void =>
    set({
      wearHours: form.wearHours || String(proposed.wearHours),
      waterproof: form.waterproof || said(proposed.waterproof),
      transferProof: form.transferProof || said(proposed.transferProof),
      smallestShare: form.smallestShare || share,
    });
  const yesNo = (label: string, name: 'waterproof' | 'transferProof') => (
    <Choice
      label={label}
      options={STATED}
      words={{ '': 'not stated' }}
      chosen={[form[name]]}
      onChange={([value]) => value !== undefined && set({ [name]: value })}
    />
  );
  return (
    <Column gap="$3" role="group" aria-label="How it wears">
      <Field
        label="Holds for"
        unit="hours"
        keyboard="decimal"
        value={form.wearHours}
        onChange={(wearHours) => set({ wearHours })}
        error={errors.wearHours}
      />
      {yesNo('Waterproof', 'waterproof')}
      {yesNo('Transfer-proof', 'transferProof')}
      <Choice
        label={`Can be taken by the ${form.measure}`}
        options={SHARES}
        words={{ '': 'not stated', '1': 'whole only', '0.5': 'by halves', '0.25': 'by quarters' }}
        chosen={[form.smallestShare]}
        onChange={([smallestShare]) => smallestShare !== undefined && set({ smallestShare })}
      />
      {open ? (
        <Line>
          <Label flex={1}>
            {`Proposed where nothing is stated, from its make and name: ${proposed.wearHours} hours, ${proposed.waterproof ? 'waterproof' : 'not waterproof'}, ${proposed.transferProof ? 'transfer-proof' : 'transfers'}. The maker’s word decides.`}
          </Label>
          <Button onPress={confirm}>Confirm the proposal</Button>
        </Line>
      ) : null}
    </Column>
  );
}
