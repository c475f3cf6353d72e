import '../../words/places/drinks.ts';
import type { Announcements, UniqueIdentifier } from '@dnd-kit/core';
import { say } from '../../words/say.ts';

/** What is read aloud while something is moved. @param nameOf a thing, or a place for it, as it is spoken. */
export const announceMoves = (nameOf: (id: UniqueIdentifier) => string): Announcements => ({
  onDragStart: ({ active }) => say('editorPage.lifted', { spoken: nameOf(active.id) }),
  onDragOver: ({ active, over }) =>
    over && over.id !== active.id ? say('editorPage.nowAt', { spoken: nameOf(over.id) }) : undefined,
  onDragEnd: ({ active, over }) =>
    over
      ? say('editorPage.putDownAt', { spoken: nameOf(active.id), spoken2: nameOf(over.id) })
      : say('editorPage.putBack', { spoken: nameOf(active.id) }),
  onDragCancel: ({ active }) => say('editorPage.putBack', { spoken: nameOf(active.id) }),
});
