import { EMPTY_KITCHEN } from '@big-ladle/core/documents';
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { LabelsPanel } from './LabelsPanel.tsx';

it('what is typed while the label before it is being stored stays', async () => {
  let stored = (_: boolean): void => undefined;
  const save = () =>
    new Promise<boolean>((resolve) => {
      stored = resolve;
    });
  render(<LabelsPanel kitchen={EMPTY_KITCHEN} save={save} />);
  await userEvent.type(screen.getByTestId('label-sugar'), '11');
  await userEvent.click(screen.getByRole('button', { name: 'Correct it' }));
  const name = screen.getByLabelText(/^Its name/);
  await userEvent.type(name, 'Corner shop nectar');
  await act(async () => stored(true));
  expect(name).toHaveProperty('value', 'Corner shop nectar');
  expect(screen.getByTestId('label-sugar')).toHaveProperty('value', '');
});
