/** What stands cold: bottles, leftovers, places, room, reminders. */
export type { Purchase } from '../contract/messages.ts';
export { containerCautions, containerUses } from '../keeping/containers.ts';
export type { BottleItem, LeftoverItem } from '../keeping/items.ts';
export {
  type LeftoverFacts,
  type LeftoverLife,
  leftoverLife,
  leftoverRow,
  portionStrength,
  screenOf,
  usesOf,
} from '../keeping/leftovers.ts';
export {
  giftReminder,
  type Message,
  messagesOf,
  morningOf,
  pressureAlarm,
  type Reminder,
  remindersOf,
  THAWED_DAYS,
} from '../keeping/reminders.ts';
export { boiledLinesOf, companionsOf, type Residue, residueOf } from '../keeping/residue.ts';
export { setAsideGuidance } from '../keeping/setAside.ts';
export { makeSpace, type Standee, spaceIn } from '../keeping/space.ts';
export { rateOfUse, USE_WINDOW_DAYS } from '../keeping/use.ts';
export { CHECK_KINDS, type CheckKind, SIGNS, type Sign } from '../tables/checks.ts';
export {
  CLOSURES,
  type Closure,
  CONTAINER_CAUTION_ROWS,
  CONTAINER_FORMS,
  CONTAINER_MATERIALS,
  type ContainerForm,
  type ContainerMaterial,
  HEADSPACE,
} from '../tables/containers.ts';
export {
  LEFTOVER_KINDS,
  LEFTOVER_ROWS,
  type LeftoverKind,
  type LeftoverUse,
  SCREEN_CODES,
} from '../tables/leftovers.ts';
export { PLACE_KINDS, placeKindRow } from '../tables/places.ts';
