/** The pages of gatherings come in one piece: whoever sees the list goes on to a gathering. */
export { AfterPage } from './after/AfterPage.tsx';
export { CardsPage } from './cards/CardsPage.tsx';
export { DayPage } from './day/DayPage.tsx';
export { GatheringPage } from './GatheringPage.tsx';
export { GatheringsPage } from './GatheringsPage.tsx';
