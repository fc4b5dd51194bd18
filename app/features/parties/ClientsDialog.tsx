import { useState } from 'react';
import type { ClientSummary } from '@toile/contract';
import { msg } from '@toile/core';
import { useClients } from '../../data/hooks';
import { Body, Button, Dialog, Field, Label, Ready, Switch } from '../../ui';

type ClientsDialogProps = {
  /** Clients who are on the list already. */ readonly onList: ReadonlySet<string>;
  readonly busy: boolean;
  readonly failure: string | null;
  readonly onAdd: (clients: readonly ClientSummary[]) => void;
  readonly onClose: () => void;
};

/** People of the studio put on a party's list, several at once. */
export function ClientsDialog({ onList, busy, failure, onAdd, onClose }: ClientsDialogProps) {
  const [query, setQuery] = useState('');
  const clients = useClients(query);
  const [chosen, setChosen] = useState<readonly ClientSummary[]>([]);
  return (
    <Dialog title={msg`Add from clients`} onClose={onClose}>
      <Field label={msg`Find a client`} value={query} onChange={setQuery} autoFocus />
      <Ready remote={clients}>
        {(list) => {
          const open = list.filter((client) => !onList.has(client.id)).slice(0, 8);
          return (
            <>
              {open.length === 0 ? (
                <Label>{msg`Nobody by that name who is not on the list already.`}</Label>
              ) : null}
              {open.map((client) => {
                const on = chosen.some((one) => one.id === client.id);
                return (
                  <Switch
                    key={client.id}
                    label={`${client.name}${client.lastRead === null ? msg`, not read yet` : ''}`}
                    on={on}
                    onToggle={() =>
                      setChosen(on ? chosen.filter((one) => one.id !== client.id) : [...chosen, client])
                    }
                  />
                );
              })}
            </>
          );
        }}
      </Ready>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy || chosen.length === 0} onPress={() => onAdd(chosen)}>
        {chosen.length === 0 ? msg`Choose who` : msg`Add ${chosen.map((one) => one.name).join(', ')}`}
      </Button>
    </Dialog>
  );
}
