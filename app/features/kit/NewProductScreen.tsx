import { useLocalSearchParams, useRouter } from 'expo-router';
import { msg, PRODUCT_KINDS, type ProductKind } from '@toile/core';
import { useKit } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { Body, Button, Column, DraftNote, Ready, Screen } from '../../ui';
import { emptyForm, type ProductForm } from './productForm';
import { ProductFields } from './ProductFields';
import { useSaveProduct } from './useSaveProduct';

/** A new product, empty or like another. */
export function NewProductScreen() {
  const kit = useKit();
  const { like, kind } = useLocalSearchParams<{ like?: string; kind?: string }>();
  const asked = PRODUCT_KINDS.find((one) => one === kind);
  if (!like)
    return <NewProduct key={asked} start={emptyForm(null, asked)} like={null} kind={asked ?? null} />;
  return (
    <Ready remote={kit}>
      {(data) => (
        <NewProduct
          start={emptyForm(data.products.find((p) => p.id === like) ?? null)}
          like={like}
          kind={null}
        />
      )}
    </Ready>
  );
}

function NewProduct({
  start,
  like,
  kind,
}: {
  readonly start: ProductForm;
  readonly like: string | null;
  readonly kind: ProductKind | null;
}) {
  const router = useRouter();
  const draft = useDraft(
    like === null ? ['new product', kind].filter(Boolean).join(', ') : `new product like ${like}`,
    () => start,
  );
  const form = draft.value;
  const saving = useSaveProduct();
  const save = async (): Promise<void> => {
    const saved = await saving.save(form, null);
    if (!saved) return;
    draft.drop();
    router.replace(`/kit/products/${saved.id}`);
  };
  return (
    <Screen
      title={msg`Add a product`}
      widest={760}
      onBack={() => router.navigate('/kit')}
      foot={
        <Column gap="$2">
          {saving.failure ? <Body role="alert" color="$madder">{`▲ ${saving.failure}`}</Body> : null}
          <Button
            kind="main"
            large
            disabled={saving.busy}
            onPress={() => void save()}
          >{msg`Add to the kit`}</Button>
        </Column>
      }
    >
      <DraftNote {...draft} />
      <ProductFields form={form} errors={saving.errors} onChange={draft.set} />
    </Screen>
  );
}
