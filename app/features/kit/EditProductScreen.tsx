import { useRouter } from 'expo-router';
import { useState } from 'react';
import { msg, type Product } from '@toile/core';
import { draftedRevision, draftWaits } from '../../data/drafts';
import { useKit } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { Body, Button, Column, DraftNote, Empty, Ready, Screen } from '../../ui';
import { formOf } from './productForm';
import { ProductFields } from './ProductFields';
import { useSaveProduct } from './useSaveProduct';

/** A product of the kit, changed. */
export function EditProductScreen({ id }: { readonly id: string }) {
  const kit = useKit();
  return (
    <Ready remote={kit}>
      {(data) => {
        const product = data.products.find((p) => p.id === id);
        return product ? (
          <Edit product={product} revision={data.revisions[id] ?? 1} />
        ) : (
          <Empty title={msg`Not in this kit`} words={msg`It may have been another studio’s.`} />
        );
      }}
    </Ready>
  );
}

type EditProps = { readonly product: Product; readonly revision: number };

/** Begins at a revision and stays there once something was typed; until then it follows what is saved. */
function Edit({ product, revision }: EditProps) {
  const name = `product ${product.id}`;
  const [base, begin] = useState(() => draftedRevision(name) ?? revision);
  if (revision > base && !draftWaits(name)) begin(revision);
  return <EditFrom key={base} product={product} revision={revision} base={base} begin={begin} />;
}

function EditFrom({
  product,
  revision,
  base,
  begin,
}: EditProps & { readonly base: number; readonly begin: (revision: number) => void }) {
  const router = useRouter();
  const draft = useDraft(`product ${product.id} ${base}`, () => formOf(product));
  const form = draft.value;
  const saving = useSaveProduct();
  const back = `/kit/products/${product.id}` as const;
  const save = async (over: number): Promise<void> => {
    if (!(await saving.save(form, over))) return;
    draft.drop();
    router.navigate(back);
  };
  const behind = revision !== base;
  return (
    <Screen
      title={msg`Change the product`}
      above={`${product.maker} ${product.line}`}
      widest={760}
      onBack={() => router.navigate(back)}
      foot={
        <Column gap="$2">
          {saving.failure ? <Body role="alert" color="$madder">{`▲ ${saving.failure}`}</Body> : null}
          {behind && !saving.busy ? (
            <Body color="$weld">{msg`▲ Someone else changed it meanwhile. Saving puts yours over theirs.`}</Body>
          ) : null}
          <Button
            kind="main"
            large
            disabled={saving.busy}
            onPress={() => void save(behind ? revision : base)}
          >{msg`Save the product`}</Button>
        </Column>
      }
    >
      <DraftNote taken={draft.taken} anew={() => (draft.anew(), begin(revision))} />
      <ProductFields form={form} errors={saving.errors} onChange={draft.set} />
    </Screen>
  );
}
