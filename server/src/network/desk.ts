import type { Clock } from '../clock.ts';
import { HttpProblem } from '../problems.ts';
import { type Authority, makeAuthority, readAuthority } from './certificate.ts';
import { type NetworkSetting, writeNetwork } from './setting.ts';

interface Parts {
  dataDir: string;
  clock: Clock;
  /** How it is reached was said where it was started: the page does not change it. */
  fixed: boolean;
  /** It is open over a safe connection with the certificate of the house's own. */
  safe: boolean;
  /** Begins anew, so that it listens as it was told. */
  restart: () => void;
}

/** Opens the kitchen to the home network and closes it again, and keeps the certificate of the house's own. */
export class NetworkDesk {
  /** Why the safe connection could not be opened; null: it could, or nobody has asked for it. */
  problem: string | null = null;

  constructor(private readonly parts: Parts) {}

  state(): {
    fixed: boolean;
    safe: boolean;
    certificate: { untilMs: number } | null;
    problem: string | null;
  } {
    const authority = readAuthority(this.parts.dataDir);
    return {
      fixed: this.parts.fixed,
      safe: this.parts.safe,
      certificate: authority && { untilMs: authority.untilMs },
      problem: this.problem,
    };
  }

  /** What devices are told to trust; null while nobody has made one. */
  authority(): Authority | null {
    return readAuthority(this.parts.dataDir);
  }

  async makeCertificate(): Promise<void> {
    await makeAuthority(this.parts.dataDir, this.parts.clock.nowMs());
  }

  /** From now on it is reached so. @throws HttpProblem where that was fixed at its start, or a certificate is missing. */
  change(setting: NetworkSetting): void {
    if (this.parts.fixed) throw new HttpProblem('fixedAtStart');
    if (setting.safe && !this.authority()) throw new HttpProblem('noCertificate');
    writeNetwork(this.parts.dataDir, setting);
    this.parts.restart();
  }
}
