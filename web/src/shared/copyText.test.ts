import { afterEach, describe, expect, it, vi } from 'vitest';
import { copyText } from './copyText.ts';
import { useNotices } from './notices.ts';

const said = () => useNotices.getState().notices.map((n) => [n.severity, n.text]);
afterEach(() => {
  vi.unstubAllGlobals();
  useNotices.setState({ notices: [] });
});

describe('copying text', () => {
  it('says that it is copied', async () => {
    const written: string[] = [];
    vi.stubGlobal('navigator', { clipboard: { writeText: async (text: string) => void written.push(text) } });
    await copyText('six limes', 'Copied.');
    expect(written).toEqual(['six limes']);
    expect(said()).toEqual([['success', 'Copied.']]);
  });

  it('over plain http, where there is no clipboard, says to save it instead', async () => {
    vi.stubGlobal('navigator', {});
    await copyText('six limes', 'Copied.');
    expect(said()).toEqual([['error', expect.stringContaining('Save it as text instead')]]);
  });
});
