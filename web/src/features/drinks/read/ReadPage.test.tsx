import { screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { kitchenServer } from '../../../testing/kitchen.ts';
import { show } from '../../../testing/render.tsx';
import { ReadPage } from './ReadPage.tsx';
import { useReadDraft } from './readDraft.ts';

const TEXT = '2 cups dried hibiscus\n3 cups moon berries\n10 cups water\n\nBoil 20 minutes. Strain.';

/** A page over a text that was pasted. */
async function pasted(text: string): Promise<void> {
  useReadDraft.getState().set({ text });
  kitchenServer([]);
  show(<ReadPage />, '/drinks/paste');
  await screen.findByTestId('paste-text');
}

describe('the review of a pasted text', () => {
  beforeEach(() => useReadDraft.setState(useReadDraft.getInitialState(), true));

  it('shows each thing that was read, and what nobody knows is asked about', async () => {
    await pasted(TEXT);
    const lines = (await screen.findAllByTestId('pasted-line')).map((l) => l.textContent);
    expect(lines.some((l) => /hibiscus/i.test(l))).toBe(true);
    expect(lines.some((l) => /moon berries/i.test(l))).toBe(true);
    expect(screen.getByTestId('still-missing')).toBeTruthy();
  });
  it('is read anew when a word is added, and nothing that was typed is lost', async () => {
    await pasted(TEXT);
    await userEvent.type(screen.getByTestId('paste-text'), ' Add 300 g sugar.');
    await vi.waitFor(() =>
      expect(screen.getAllByTestId('pasted-line').some((l) => /sugar/i.test(l.textContent))).toBe(true),
    );
    expect(screen.getByTestId<HTMLTextAreaElement>('paste-text').value).toContain('moon berries');
  });
  it('an empty page says nothing of a recipe', async () => {
    await pasted('');
    expect(screen.queryAllByTestId('pasted-line')).toEqual([]);
  });
});
