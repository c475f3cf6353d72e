import { readBeside, writeBeside } from '../db/folder.ts';

/** How the kitchen is reached, as the cook has chosen on its page. */
export interface NetworkSetting {
  /** Other devices of the home network may ask to be let in. */
  open: boolean;
  /** They come over a safe connection, with a certificate of the house's own. */
  safe: boolean;
}

const SETTING = 'big-ladle.network.json';
const CLOSED: NetworkSetting = { open: false, safe: false };

export function readNetwork(dataDir: string): NetworkSetting {
  const { open, safe } = { ...CLOSED, ...readBeside<Partial<NetworkSetting>>(dataDir, SETTING) };
  return { open: open === true, safe: open === true && safe === true };
}

export const writeNetwork = (dataDir: string, setting: NetworkSetting): void =>
  writeBeside(dataDir, SETTING, setting);
