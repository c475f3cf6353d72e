/** Sentences of the list of what was entered here and is not stored yet. */
export const EN_WAITING = {
  'waiting.title': 'What waits here',
  'waiting.lead':
    '{count, plural, =0 {Nothing waits: all that you entered is stored.} one {One entry is kept in this browser and not yet stored by the kitchen server. It is tried again by itself.} other {{number} entries are kept in this browser and not yet stored by the kitchen server. They are tried again by themselves, the oldest first.}}',
  'waiting.unkept': 'This browser keeps nothing: leave the page open until all is stored, or copy it.',
  'waiting.held': 'Not taken for now: {detail}',
  'waiting.someBatch': 'a batch',
  'waiting.someThing': 'something on the shelf',
  'waiting.tryNow': 'Try now',
  'waiting.copied': 'Copied.',
  'waiting.fileName': 'what-waits.txt',
  'waiting.discard': 'Discard',
  'waiting.discardOne': 'Discard: {deed}',
  'waiting.sure': 'It is then lost for good, as if it had never been entered.',
  'waiting.yes': 'Yes, discard it',
  'waiting.close': 'Close',
  'waiting.no': 'Keep it',
  'waiting.line': '{when}  {whose}: {deed}',
} as const;
