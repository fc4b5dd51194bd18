import { fireEvent, render, screen } from '@testing-library/react';
import { guidesFor, inferLandmarks, LAYER_KINDS, patternClient, type ClientSnapshot } from '@toile/core';
import { Themed } from '../../ui/Themed.testing';
import { WatchDialog } from './WatchDialog';

const client: ClientSnapshot = {
  ...patternClient('very deep'),
  name: 'Ilse Moor',
  landmarks: inferLandmarks({ faceLength: 198 }),
};
beforeEach(() => {
  // The simulated browser has neither of these.
  HTMLDialogElement.prototype.showModal = jest.fn();
  HTMLDialogElement.prototype.close = jest.fn();
  window.matchMedia = jest.fn(() => ({ matches: true })) as unknown as typeof window.matchMedia;
});
const open = (guide: ReturnType<typeof guidesFor>[number], onClose = jest.fn()) => {
  render(
    <Themed>
      <WatchDialog client={client} placement={{ guide, side: 'both' }} onClose={onClose} />
    </Themed>,
  );
  return onClose;
};

test('a stroke says where it lies, that it fades, and why; it is closed', () => {
  const onClose = open('cheekContour');
  expect(screen.getByLabelText('Cheek contour, as it is drawn')).toBeTruthy();
  expect(screen.getByText(/Most lies where the brush lands; it fades from there/)).toBeTruthy();
  expect(screen.getByText(/drags the face down/)).toBeTruthy();
  fireEvent.click(screen.getByText('Close'));
  expect(onClose).toHaveBeenCalled();
});

test('what grows towards its end is said to, and what is even is', () => {
  open('blushLifted');
  expect(screen.getByText(/It begins lightly; most lies at its end/)).toBeTruthy();
});

test('a patch is drawn round, and nothing is said of a stroke', () => {
  open('blushFull');
  expect(screen.queryByText(/where the brush lands/)).toBeNull();
});

test('every guide of every kind of layer can be watched', () => {
  for (const guide of LAYER_KINDS.flatMap((kind) => guidesFor(kind))) {
    const { unmount } = render(
      <Themed>
        <WatchDialog client={client} placement={{ guide, side: 'both' }} onClose={jest.fn()} />
      </Themed>,
    );
    expect(screen.getByLabelText(/, as it is drawn$/)).toBeTruthy();
    unmount();
  }
});
