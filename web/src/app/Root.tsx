import { Outlet, ScrollRestoration } from 'react-router';
import { Notices } from '../shared/Notices.tsx';
import { PairingGate } from '../shared/Pairing.tsx';
import { Overlays } from './Overlays.tsx';

/** What stands over and before every page. */
export function Root() {
  return (
    <>
      <Notices />
      <Overlays />
      <PairingGate>
        <Outlet />
      </PairingGate>
      <ScrollRestoration />
    </>
  );
}
