import { msg } from '@toile/core';
import { useLooks } from '../../data/hooks';
import { Dialog, Label, Ready, Row } from '../../ui';

/** A look for all who have none yet: fitted to each of their faces. */
export function LooksDialog({
  partyId,
  onClose,
}: {
  readonly partyId: string;
  readonly onClose: () => void;
}) {
  const looks = useLooks();
  return (
    <Dialog title={msg`Which look`} onClose={onClose}>
      <Ready remote={looks}>
        {(list) => {
          const proposed = list.filter((look) => !look.retired);
          return (
            <>
              {proposed.length === 0 ? (
                <Label>{msg`There is no look yet: make one under Looks.`}</Label>
              ) : null}
              {proposed.map((look) => (
                <Row
                  key={look.id}
                  title={look.name}
                  detail={look.description}
                  fact={msg`${look.minutes} min`}
                  href={`/looks/${look.id}/fit?party=${partyId}`}
                />
              ))}
            </>
          );
        }}
      </Ready>
    </Dialog>
  );
}
