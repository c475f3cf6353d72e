import { afterEach, describe, expect, it, vi } from 'vitest';
import { useNotices } from './notices.ts';
import { shareText } from './share.ts';

const saved = vi.hoisted(() => vi.fn());
vi.mock('./saveText.ts', () => ({ saveText: saved }));

const on = (share: unknown, writeText: () => Promise<void>) =>
  vi.stubGlobal('navigator', { share, clipboard: { writeText } });
const refused = () => Promise.reject(new Error('refused'));

afterEach(() => {
  vi.unstubAllGlobals();
  saved.mockClear();
  useNotices.setState({ notices: [] });
});

describe('text that is shared', () => {
  it('goes to the system’s sheet, and nowhere else when the cook closes that', async () => {
    const share = vi.fn().mockResolvedValueOnce(undefined);
    const copy = vi.fn(() => Promise.resolve());
    on(share, copy);
    await shareText('Shopping', '- Lime', 'Copied.');
    expect(share).toHaveBeenCalledWith({ title: 'Shopping', text: '- Lime' });
    share.mockRejectedValueOnce(new DOMException('closed', 'AbortError'));
    await shareText('Shopping', '- Lime', 'Copied.');
    expect(copy).not.toHaveBeenCalled();
    expect(saved).not.toHaveBeenCalled();
  });
  it('is copied where there is no sheet, or it refuses', async () => {
    for (const share of [undefined, refused]) {
      const copy = vi.fn(() => Promise.resolve());
      on(share, copy);
      await shareText('Shopping', '- Lime', 'Copied.');
      expect(copy).toHaveBeenCalledWith('- Lime');
    }
    expect(useNotices.getState().notices[0]?.text).toBe('Copied.');
  });
  it('is saved as a file where a page may do neither', async () => {
    on(undefined, refused);
    await shareText('Shopping', '- Lime', 'Copied.');
    expect(saved).toHaveBeenCalledWith('Shopping.txt', '- Lime', 'text/plain');
  });
});
