import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { useKit } from '../../data/hooks';
import { Body, Button, Column, Ready, Screen } from '../../ui';
import { emptyForm, type ProductForm } from './productForm';
import { ProductFields } from './ProductFields';
import { useSaveProduct } from './useSaveProduct';

/** A new product, empty or like another. */
export function NewProductScreen() {
  const kit = useKit();
  const { like } = useLocalSearchParams<{ like?: string }>();
  if (!like) return <NewProduct start={emptyForm()} />;
  return (
    <Ready remote={kit}>
      {(data) => <NewProduct start={emptyForm(data.products.find((p) => p.id === like) ?? null)} />}
    </Ready>
  );
}

function NewProduct({ start }: { readonly start: ProductForm }) {
  const router = useRouter();
  const [form, setForm] = useState(start);
  const saving = useSaveProduct();
  const save = async (): Promise<void> => {
    const saved = await saving.save(form, null);
    if (saved) router.replace(`/kit/products/${saved.id}`);
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
      <ProductFields form={form} errors={saving.errors} onChange={setForm} />
    </Screen>
  );
}
