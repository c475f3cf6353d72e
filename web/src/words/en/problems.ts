/**
 * What the server refuses, by its codes, as `PROBLEMS` of the contract has them. What only the panels of data and photos can
 * meet stands with them.
 */
export const EN_PROBLEMS = {
  'problem.malformedJson': 'The message is not valid JSON. Nothing was changed.',
  'problem.badRequest': 'The request could not be read. Nothing was changed.',
  'problem.tooLarge': 'The message is larger than the server takes. Nothing was changed.',
  'problem.invalid': 'Something is not right ({field}): {why}',
  'problem.notFound': 'There is nothing with the id {id}.',
  'problem.notFound.batch': 'There is no batch with the id {id}.',
  'problem.notFound.rehearsal': 'There is no practice run with the id {id}.',
  'problem.notFound.bottle': 'There is no bottle with the id {id}.',
  'problem.notFound.instrument': 'There is no instrument with the id {id}.',
  'problem.noSuchPlace': 'There is nothing at {path}.',
  'problem.wrongHost': 'This server answers only under its own address.',
  'problem.wrongOrigin': 'Only the page of this server may talk to it.',
  'problem.notPaired': 'This device has not been let in: enter the code of the first screen.',
  'problem.wrongCode': 'This is not the code on the first screen. Look again: it changes.',
  'problem.tooManyTries': 'Too many wrong codes. Wait a minute and look at the first screen again.',
  'problem.firstScreenOnly': 'This is done on the machine that the kitchen runs on.',
  'problem.changedElsewhere': 'It was changed in another window. Nothing was overwritten.',
  'problem.changedElsewhere.plan': 'This plan was changed in another window. Nothing was overwritten.',
  'problem.alreadyStarted': 'This batch has started: its plan is fixed, only its log goes on.',
  'problem.cannotStart': 'This plan does not work out in this kitchen yet.',
  'problem.inTheFuture': 'This is dated in the future. Check the clock of this device.',
  'problem.unreadable':
    'What is stored of this batch cannot be read, so nothing is added to it. It can be saved as a file.',
  'problem.notStarted': 'This batch has not started yet.',
  'problem.unknownPlace': 'This kitchen has no place {id}.',
  'problem.unknownStep': 'This batch has no step {id}.',
  'problem.idTaken': 'There is a bottle or leftover with the id {id} already.',
  'problem.otherStream': 'What this is about was said somewhere else.',
  'problem.sameIdOtherBody': 'An entry with this id is stored with other contents.',
  'problem.cannotBeTrue': 'This cannot be true of this batch. Nothing was stored.',
  'problem.storage':
    'The data file could not be written. Look at the free space and the rights of the data folder.',
  'problem.busy': 'Another program is using the data file. Try again in a moment.',
  'problem.beginningAnew': 'The kitchen is just beginning anew. Try again in a moment.',
  'problem.damaged':
    'A part of the data file cannot be read. What it holds cannot be trusted until a backup is put back: Kitchen, Data.',
  'problem.internal':
    'Something went wrong in the server. What it was stands on the terminal that it runs in.',
  'problem.unknown': 'The server could not do that.',
  'problem.offline': 'The kitchen server does not answer.',
} as const satisfies Record<string, string>;
