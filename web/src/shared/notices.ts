import { create } from 'zustand';

export interface Notice {
  id: number;
  severity: 'error' | 'info' | 'success';
  text: string;
}

/** Messages that belong to no field: shown at the head of every screen until they are put away. */
export const useNotices = create<{ notices: Notice[] }>(() => ({ notices: [] }));

let nextId = 1;

export function notify(severity: Notice['severity'], text: string): void {
  useNotices.setState((s) =>
    s.notices.some((n) => n.text === text)
      ? s
      : { notices: [...s.notices.slice(-2), { id: nextId++, severity, text }] },
  );
}

export const putAway = (id: number): void =>
  useNotices.setState((s) => ({ notices: s.notices.filter((n) => n.id !== id) }));
