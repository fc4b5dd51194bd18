import { COVERAGE_WORDS, FAMILIES, FINISHES, MEASURES, PRODUCT_KINDS, TEXTURES, type Lab } from '@toile/core';
import { Body, Choice, Column, Field, Label, Line, Swatch, Switch, useWide, View } from '../../ui';
import type { ProductForm } from './productForm';

type ProductFieldsProps = { readonly form: ProductForm; readonly errors: Readonly<Record<string, string>>; readonly onChange: (form: ProductForm) => void };

const GRADES = ['', '0', '1', '2', '3'] as const;

const withValue = ([L, a, b]: ProductForm['lab'], at: number, value: string): ProductForm['lab'] => [
  at === 0 ? value : L,
  at === 1 ? value : a,
  at === 2 ? value : b,
];

/** Every field of a product, each with what is wrong beside it. */
export function ProductFields({ form, errors, onChange }: ProductFieldsProps) {
  const wide = useWide();
  const set = (more: Partial<ProductForm>): void => onChange({ ...form, ...more });
  const text = (name: 'maker' | 'line' | 'shade' | 'mgPerMeasure' | 'tintingStrength' | 'monthsAfterOpening', label: string, unit?: string) => (
    <View flex={1} flexBasis={wide ? 0 : '100%'} minWidth={140}>
      <Field
        label={label}
        unit={unit}
        keyboard={name === 'mgPerMeasure' || name === 'tintingStrength' || name === 'monthsAfterOpening' ? 'decimal' : 'text'}
        value={form[name]}
        onChange={(value) => set({ [name]: value })}
        error={errors[name]}
      />
    </View>
  );
  const lab = form.lab.map((v) => Number(v.replace(',', '.')));
  const shown: Lab | null = form.lab.every((v) => v.trim() !== '') && lab.every(Number.isFinite) ? [lab[0]!, lab[1]!, lab[2]!] : null;
  return (
    <Column gap="$4">
      <Line alignItems="flex-start">
        {text('maker', 'Maker')}
        {text('line', 'Line')}
        {text('shade', 'Shade')}
      </Line>
      <Choice label="Kind" options={PRODUCT_KINDS} chosen={[form.kind]} onChange={([kind]) => kind && set({ kind })} />
      <Column gap="$2">
        <Label>Colour of a thick layer, read or typed; leave it empty for what has none</Label>
        <Line alignItems="flex-start" flexWrap="nowrap">
          <Swatch lab={shown} size={52} label="colour as typed" />
          {(['L*', 'a*', 'b*'] as const).map((name, i) => (
            <View key={name} flex={1} flexBasis={0} minWidth={0}>
              <Field label={name} keyboard="decimal" value={form.lab[i]!} onChange={(value) => set({ lab: withValue(form.lab, i, value) })} />
            </View>
          ))}
        </Line>
        {errors.lab ? <Body role="alert" color="$madder">{`▲ ${errors.lab}`}</Body> : null}
      </Column>
      <Choice label="Coverage" options={COVERAGE_WORDS} chosen={[form.coverage]} onChange={([coverage]) => coverage && set({ coverage })} />
      <Choice label="Finish" options={FINISHES} chosen={[form.finish]} onChange={([finish]) => finish && set({ finish })} />
      <Choice label="Texture" options={TEXTURES} chosen={[form.texture]} onChange={([texture]) => texture && set({ texture })} />
      <Choice label="Family" options={FAMILIES} chosen={[form.family]} onChange={([family]) => family && set({ family })} />
      <Field
        label="Ingredients, by commas, as the maker lists them"
        lines={2}
        value={form.ingredients}
        onChange={(ingredients) => set({ ingredients })}
        error={Object.entries(errors).find(([path]) => path.startsWith('ingredients'))?.[1]}
        hint="Clients’ sensitivities are looked up in it; the maker’s own list decides."
      />
      <Choice label="Taken by" options={MEASURES} chosen={[form.measure]} onChange={([measure]) => measure && set({ measure })} />
      <Line alignItems="flex-start">
        {text('mgPerMeasure', `One ${form.measure} holds`, 'mg')}
        {text('monthsAfterOpening', 'Good for, once opened', 'months')}
        {text('tintingStrength', 'Tinting strength in a mix')}
      </Line>
      <Choice
        label="In a flash, by your own photos"
        options={GRADES}
        words={{ '': 'not tried', 0: '0, nothing', 1: '1, a little', 2: '2, shows', 3: '3, plainly white' }}
        chosen={[form.flashGrade]}
        onChange={([flashGrade]) => flashGrade !== undefined && set({ flashGrade })}
      />
      <Column gap={0}>
        <Switch label="Meant for the eye area" on={form.eyeSafe} onToggle={() => set({ eyeSafe: !form.eyeSafe })} />
        <Switch label="Single use" on={form.singleUse} onToggle={() => set({ singleUse: !form.singleUse })} />
      </Column>
    </Column>
  );
}
