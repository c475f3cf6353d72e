import { PageHead } from '../shared/ui.tsx';
import { say } from '../words/say.ts';

/** An address that leads nowhere. */
export function NothingHere() {
  return <PageHead title={say('main.nothingHere')} beside={say('main.thisAddressLeadsNowhere')} />;
}
