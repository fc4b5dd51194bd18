import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { Kit } from '@toile/core';
import { dropAllForms } from '../../data/drafts';
import { navigate } from '../../router.testing';
import { Themed } from '../../ui/Themed.testing';
import { EditProductScreen } from './EditProductScreen';
import { PLAIN_PRODUCT } from './product.testing';

const ID = '0190a000-0000-7000-8000-000000000010';
let mockKit: Kit & { readonly revisions: Readonly<Record<string, number>> };
jest.mock('../../data/hooks', () => ({
  useKit: () => ({ data: mockKit }),
  useRefresh: () => () => Promise.resolve(),
}));
const mockSent: { body: object; revision: number }[] = [];
jest.mock('../../data/call', () => ({
  ...jest.requireActual<object>('../../data/call'),
  call: (_name: string, { body, revision }: { body: object; revision: number }) => {
    mockSent.push({ body, revision });
    return Promise.resolve({ product: body });
  },
}));

const saved = (line: string, revision: number): void => {
  mockKit = { products: [{ ...PLAIN_PRODUCT, id: ID, line }], units: [], revisions: { [ID]: revision } };
};
const form = () => (
  <Themed>
    <EditProductScreen id={ID} />
  </Themed>
);
const line = () => screen.getByLabelText('Line');
const behind = () => screen.queryByText(/Someone else changed it meanwhile/);
beforeEach(() => {
  dropAllForms();
  mockSent.length = 0;
  navigate.mockReset();
  saved('Veil', 1);
});

test('a form nothing was typed into follows what is saved meanwhile, and says nothing of it', () => {
  const { rerender } = render(form());
  saved('Gauze', 2);
  rerender(form());
  expect(line()).toHaveProperty('value', 'Gauze');
  expect(behind()).toBeNull();
});

test('what was typed stays, says that it stands over what was saved, and is saved over it knowingly', async () => {
  const { rerender } = render(form());
  fireEvent.change(line(), { target: { value: 'Muslin' } });
  saved('Gauze', 2);
  rerender(form());
  expect(line()).toHaveProperty('value', 'Muslin');
  expect(behind()).not.toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Save the product' }));
  await waitFor(() => expect(navigate).toHaveBeenCalled());
  expect(mockSent).toMatchObject([{ body: { line: 'Muslin' }, revision: 2 }]);
});
