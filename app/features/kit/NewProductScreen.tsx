import { useLocalSearchParams, useRouter } from 'expo-router';
import { useKit } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { Body, Button, Column, DraftNote, Ready, Screen } from '../../ui';
import { emptyForm, type ProductForm } from './productForm';
import { ProductFields } from './ProductFields';
import { useSaveProduct } from './useSaveProduct';

/** A new product, empty or like another. */
export function NewProductScreen() {
  const kit = useKit();
  const { like } = useLocalSearchParams<{ like?: string }>();
  if (!like) return <NewProduct start={emptyForm()} like={null} />;
  return (
    <Ready remote={kit}>
      {(data) => (
        <NewProduct start={emptyForm(data.products.find((p) => p.id === like) ?? null)} like={like} />
      )}
    </Ready>
  );
}

function NewProduct({ start, like }: { readonly start: ProductForm; readonly like: string | null }) {
  const router = useRouter();
  const draft = useDraft(like === null ? 'new product' : `new product like ${like}`, () => start);
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
      title="Add a product"
      widest={760}
      onBack={() => router.navigate('/kit')}
      foot={
        <Column gap="$2">
          {saving.failure ? <Body role="alert" color="$madder">{`▲ ${saving.failure}`}</Body> : null}
          <Button kind="main" large disabled={saving.busy} onPress={() => void save()}>
            Add to the kit
          </Button>
        </Column>
      }
    >
      <DraftNote {...draft} />
      <ProductFields form={form} errors={saving.errors} onChange={draft.set} />
    </Screen>
  );
}
