/** What the server refuses of archives, backups and the network. */
export const EN_DATA_PROBLEMS = {
  'problem.notFound.backup': 'There is no backup with the name {id}.',
  'problem.notFound.device': 'There is no device with the id {id}.',
  'problem.fixedAtStart':
    'How the kitchen is reached was said where it was started (LADLE_HOST). Start it without that to choose here.',
  'problem.noCertificate': 'There is no certificate yet: make one first.',
  'problem.notAnArchive': 'This file is not a Big Ladle archive. Nothing was taken in.',
  'problem.archiveNewer': 'A newer Big Ladle wrote this file. Nothing was taken in.',
  'problem.archiveCutShort': 'This file breaks off before its end. Nothing was taken in.',
  'problem.archiveLine':
    'Line {line} of this file {why, select, tooLong {is far too long} noText {is no text} noJson {is no JSON} noSection {stands in no section} afterEnd {stands after the end} other {has something wrong in {section} ({field})}}. Nothing was taken in.',
  'problem.importUnderWay': 'A file is being taken in just now. Wait for its end.',
  'problem.nothingToTake': 'There is no file to be taken in any more. Choose it again.',
  'problem.backupFailed': 'The backup could not be made: {reason}',
  'problem.badFolder':
    'Backups cannot go there: {reason}. Give the whole path of a folder that can be written to.',
} as const satisfies Record<string, string>;
