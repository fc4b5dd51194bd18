import { useRouter } from 'expo-router';
import { useDeferredValue, useId, useMemo, useState, type KeyboardEvent } from 'react';
import { msg } from '@toile/core';
import { useClients, useKit, useLooks } from '../../data/hooks';
import { Body, Dialog, Label, useColours, View } from '../../ui';
import { findIn, type Found } from './findView';

const NOTHING: readonly never[] = [];

/** One field for people, looks, products and places: typed into, gone through by arrows, opened by Enter. */
export function FindDialog({ onClose }: { readonly onClose: () => void }) {
  const router = useRouter();
  const c = useColours();
  const id = useId();
  const [words, setWords] = useState('');
  const [at, setAt] = useState(0);
  const asked = useDeferredValue(words.trim());
  const clients = useClients(asked).data ?? NOTHING;
  const looks = useLooks().data ?? NOTHING;
  const products = useKit().data?.products ?? NOTHING;
  const found = useMemo(() => findIn(asked, { clients, looks, products }), [asked, clients, looks, products]);
  const on = Math.min(at, Math.max(0, found.length - 1));
  const open = ({ href }: Found): void => {
    onClose();
    router.navigate(href);
  };
  const key = (event: KeyboardEvent): void => {
    const chosen = found[on];
    if (event.key === 'ArrowDown') setAt(Math.min(found.length - 1, on + 1));
    else if (event.key === 'ArrowUp') setAt(Math.max(0, on - 1));
    else if (event.key === 'Enter' && chosen) open(chosen);
    else return;
    event.preventDefault();
  };
  return (
    <Dialog title={msg`Find`} onClose={onClose}>
      <input
        autoFocus
        role="combobox"
        aria-label={msg`People, looks, products, places`}
        aria-expanded={found.length > 0}
        aria-controls={`${id}list`}
        aria-activedescendant={found.length > 0 ? `${id}${on}` : undefined}
        placeholder={msg`People, looks, products, places`}
        value={words}
        onChange={(event) => {
          setWords(event.target.value);
          setAt(0);
        }}
        onKeyDown={key}
        style={{
          minHeight: 46,
          boxSizing: 'border-box',
          flexShrink: 0,
          padding: '10px 12px',
          border: `2px solid ${c.woad}`,
          backgroundColor: c.surface,
          color: c.ink,
          font: '16px Atkinson, sans-serif',
        }}
      />
      <div id={`${id}list`} role="listbox" aria-label={msg`Found`} style={{ minHeight: 220 }}>
        {found.map((one, i) => (
          <div
            key={one.href}
            id={`${id}${i}`}
            ref={(row) => (i === on ? row?.scrollIntoView({ block: 'nearest' }) : undefined)}
            role="option"
            aria-selected={i === on}
            onClick={() => open(one)}
            style={{
              minHeight: 48,
              padding: '4px 8px',
              cursor: 'pointer',
              borderLeft: `4px solid ${i === on ? c.woad : 'transparent'}`,
              backgroundColor: i === on ? c.raised : 'transparent',
            }}
          >
            <View>
              <Body fontWeight={i === on ? '700' : '400'}>{`${one.title} `}</Body>
              <Label numberOfLines={1}>{one.detail}</Label>
            </View>
          </div>
        ))}
        {asked !== '' && found.length === 0 ? <Label>{msg`Nothing by that name.`}</Label> : null}
      </div>
    </Dialog>
  );
}
