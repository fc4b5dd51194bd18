import {
  COVERAGE_WORDS,
  FAMILIES,
  FINISHES,
  MEASURES,
  msg,
  needsShade,
  PRODUCT_KINDS,
  proposedProperties,
  term,
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
const gradeWords = () => ({
  '': msg`not tried`,
  0: `0, ${FLASH_WORDS[0]}`,
  1: `1, ${FLASH_WORDS[1]}`,
  2: `2, ${FLASH_WORDS[2]}`,
  3: `3, ${FLASH_WORDS[3]}`,
});

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
        {text('maker', msg`Maker`)}
        {text('line', msg`Line`)}
        {text('shade', needsShade(form.kind) ? msg`Shade` : msg`Shade, if it has one`)}
      </Line>
      <Choice
        label={msg`Kind`}
        options={PRODUCT_KINDS}
        chosen={[form.kind]}
        onChange={([kind]) => kind && onChange(ofKind(form, kind))}
      />
      <Column gap="$2">
        <Label>{msg`Colour of a thick layer, read or typed; leave it empty for what has none`}</Label>
        <Line alignItems="flex-start" flexWrap="nowrap">
          <Swatch lab={shown} size={52} label={msg`colour as typed`} />
          {(['L*', 'a*', 'b*'] as const).map((name, i) => (
            <View key={name} flex={1} flexBasis={0} minWidth={0}>
              <Field
                label={term(name)}
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
        label={msg`Coverage`}
        options={COVERAGE_WORDS}
        chosen={[form.coverage]}
        onChange={([coverage]) => coverage && set({ coverage })}
      />
      <Choice
        label={msg`Finish`}
        options={FINISHES}
        chosen={[form.finish]}
        onChange={([finish]) => finish && set({ finish })}
      />
      <Choice
        label={msg`Texture`}
        options={TEXTURES}
        chosen={[form.texture]}
        onChange={([texture]) => texture && set({ texture })}
      />
      <Choice
        label={msg`Family`}
        options={FAMILIES}
        chosen={[form.family]}
        onChange={([family]) => family && set({ family })}
      />
      <Field
        label={msg`Ingredients, by commas, as the maker lists them`}
        lines={2}
        value={form.ingredients}
        onChange={(ingredients) => set({ ingredients })}
        error={Object.entries(errors).find(([path]) => path.startsWith('ingredients'))?.[1]}
        hint={msg`Clients’ sensitivities are looked up in it; the maker’s own list decides.`}
      />
      <Choice
        label={msg`Taken by`}
        options={MEASURES}
        chosen={[form.measure]}
        onChange={([measure]) => measure && set({ measure })}
      />
      <Line alignItems="flex-start">
        {text('mgPerMeasure', msg`One ${term(form.measure)} holds`, 'mg')}
        {text('monthsAfterOpening', msg`Good for, once opened`, 'months')}
        {text('tintingStrength', msg`Tinting strength in a mix`)}
      </Line>
      <WearFields form={form} errors={errors} set={set} />
      <Choice
        label={msg`In a flash, by your own photos`}
        options={GRADES}
        words={gradeWords()}
        chosen={[form.flashGrade]}
        onChange={([flashGrade]) => flashGrade !== undefined && set({ flashGrade })}
      />
      <Column gap={0}>
        <Switch
          label={msg`Meant for the eye area`}
          on={form.eyeSafe}
          onToggle={() => set({ eyeSafe: !form.eyeSafe })}
        />
        <Switch
          label={msg`Single use`}
          on={form.singleUse}
          onToggle={() => set({ singleUse: !form.singleUse })}
        />
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
      words={{ '': msg`not stated` }}
      chosen={[form[name]]}
      onChange={([value]) => value !== undefined && set({ [name]: value })}
    />
  );
  return (
    <Column gap="$3" role="group" aria-label={msg`How it wears`}>
      <Field
        label={msg`Holds for`}
        unit={msg`hours`}
        keyboard="decimal"
        value={form.wearHours}
        onChange={(wearHours) => set({ wearHours })}
        error={errors.wearHours}
      />
      {yesNo(msg`Waterproof`, 'waterproof')}
      {yesNo(msg`Transfer-proof`, 'transferProof')}
      <Choice
        label={msg`Can be taken by the ${term(form.measure)}`}
        options={SHARES}
        words={{ '': msg`not stated`, '1': msg`whole only`, '0.5': msg`by halves`, '0.25': msg`by quarters` }}
        chosen={[form.smallestShare]}
        onChange={([smallestShare]) => smallestShare !== undefined && set({ smallestShare })}
      />
      {open ? (
        <Line>
          <Label flex={1}>
            {msg`Proposed where nothing is stated, from its make and name: ${proposed.wearHours} hours, ${proposed.waterproof ? msg`waterproof` : msg`not waterproof`}, ${proposed.transferProof ? msg`transfer-proof` : msg`transfers`}. The maker’s word decides.`}
          </Label>
          <Button onPress={confirm}>{msg`Confirm the proposal`}</Button>
        </Line>
      ) : null}
    </Column>
  );
}
