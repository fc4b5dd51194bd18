import { useState } from 'react';
import { msg, type Occasion } from '@toile/core';
import { Button, Dialog } from '../../ui';
import { OccasionFields } from './OccasionFields';
import { occasionErrors } from './occasionView';

type OccasionDialogProps = {
  readonly start: Occasion;
  readonly booked?: boolean;
  readonly dayIsSet?: boolean;
  readonly onKeep: (occasion: Occasion) => void;
  readonly onClose: () => void;
};

/** The whole occasion, asked in one go; what comes out of it was asked. */
export function OccasionDialog({ start, booked, dayIsSet, onKeep, onClose }: OccasionDialogProps) {
  const [value, setValue] = useState(start);
  const [tried, setTried] = useState(false);
  const errors = occasionErrors(value);
  const keep = (): void => {
    setTried(true);
    if (Object.keys(errors).length > 0) return;
    onKeep({ ...value, asked: true });
    onClose();
  };
  return (
    <Dialog title={msg`The occasion`} onClose={onClose}>
      <OccasionFields
        value={value}
        onChange={setValue}
        errors={tried ? errors : {}}
        booked={booked}
        dayIsSet={dayIsSet}
      />
      <Button kind="main" onPress={keep}>{msg`Take it`}</Button>
    </Dialog>
  );
}
