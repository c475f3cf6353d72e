/** Both pages come in one piece: whoever sees the list goes on to a gathering. */
export { GatheringPage } from './GatheringPage.tsx';
export { GatheringsPage } from './GatheringsPage.tsx';
