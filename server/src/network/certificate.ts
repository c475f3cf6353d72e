import 'reflect-metadata';
import type { webcrypto } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { isIPv4 } from 'node:net';
import path from 'node:path';
import { AsnConvert } from '@peculiar/asn1-schema';
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509';
import * as x509 from '@peculiar/x509';

/**
 * A certificate of the house's own: an authority that devices are told to trust, and with it a certificate for the
 * addresses that this machine has now. The authority may speak for home addresses alone (RFC 5280, 4.2.1.10): whoever
 * got hold of its key could not pretend to be anything on the internet.
 */

const FOLDER = 'certificate';
const KEY = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const DAY_MS = 86_400_000;
/** Devices keep the authority for so long; its certificates are made anew by themselves. */
const AUTHORITY_DAYS = 3650;
/** Phones take no certificate that is good for longer than 825 days. */
const HOST_DAYS = 800;
/** A certificate is made anew when less than this is left of it. */
const RENEW_DAYS = 60;

/** Private addresses (RFC 1918), this machine, and addresses that a network without a server gives out (RFC 3927). */
const HOME_NETWORKS = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16', '127.0.0.0/8'];
const HOME_NAMES = ['localhost', 'local', 'home.arpa'];

/** What a safe connection is made with, as PEM. */
export interface Certificate {
  cert: string;
  key: string;
}

/** What devices are told to trust. */
export interface Authority {
  pem: string;
  untilMs: number;
}

const file = (dataDir: string, name: string): string => path.join(dataDir, FOLDER, name);

/** The authority that devices trust, where one has been made. */
export function readAuthority(dataDir: string): Authority | null {
  const at = file(dataDir, 'authority.crt');
  if (!existsSync(at)) return null;
  const pem = readFileSync(at, 'utf8');
  return { pem, untilMs: new x509.X509Certificate(pem).notAfter.getTime() };
}

/** Makes an authority; one that is there stays, for devices trust it. */
export async function makeAuthority(dataDir: string, nowMs: number): Promise<Authority> {
  const known = readAuthority(dataDir);
  if (known && known.untilMs > nowMs) return known;
  const keys = (await crypto.subtle.generateKey(KEY, true, ['sign', 'verify'])) as webcrypto.CryptoKeyPair;
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: 'CN=Big Ladle at home',
    ...validity(nowMs, AUTHORITY_DAYS),
    keys,
    signingAlgorithm: KEY,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      homeOnly(),
    ],
  });
  mkdirSync(path.join(dataDir, FOLDER), { recursive: true, mode: 0o700 });
  keep(file(dataDir, 'authority.key'), await pemOf(keys.privateKey));
  keep(file(dataDir, 'authority.crt'), certificate.toString('pem'));
  return { pem: certificate.toString('pem'), untilMs: certificate.notAfter.getTime() };
}

/**
 * The certificate for the addresses that this machine has: the one that was made before, where it still holds for all of
 * them, else a new one.
 * @throws Error where no authority has been made.
 */
export async function certificateFor(
  dataDir: string,
  addresses: readonly string[],
  nowMs: number,
): Promise<Certificate> {
  const known = readCertificate(dataDir);
  if (known && covers(known.cert, addresses, nowMs)) return known;
  const authority = readAuthority(dataDir);
  if (!authority) throw new Error('No certificate has been made yet.');
  const signingKey = await crypto.subtle.importKey(
    'pkcs8',
    x509.PemConverter.decodeFirst(readFileSync(file(dataDir, 'authority.key'), 'utf8')),
    KEY,
    false,
    ['sign'],
  );
  const issuer = new x509.X509Certificate(authority.pem);
  const keys = (await crypto.subtle.generateKey(KEY, true, ['sign', 'verify'])) as webcrypto.CryptoKeyPair;
  const names = [
    { type: 'dns' as const, value: 'localhost' },
    ...['127.0.0.1', ...addresses].filter(isIPv4).map((value) => ({ type: 'ip' as const, value })),
  ];
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: 'CN=Big Ladle',
    issuer: issuer.subject,
    ...validity(nowMs, HOST_DAYS),
    publicKey: keys.publicKey,
    signingKey,
    signingAlgorithm: KEY,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(names),
      await x509.AuthorityKeyIdentifierExtension.create(issuer.publicKey),
    ],
  });
  const made = {
    cert: `${certificate.toString('pem')}\n${authority.pem}`,
    key: await pemOf(keys.privateKey),
  };
  keep(file(dataDir, 'host.key'), made.key);
  keep(file(dataDir, 'host.crt'), made.cert);
  return made;
}

function readCertificate(dataDir: string): Certificate | null {
  if (!existsSync(file(dataDir, 'host.crt'))) return null;
  return {
    cert: readFileSync(file(dataDir, 'host.crt'), 'utf8'),
    key: readFileSync(file(dataDir, 'host.key'), 'utf8'),
  };
}

/** Whether a certificate holds for all these addresses, for a while yet. */
function covers(cert: string, addresses: readonly string[], nowMs: number): boolean {
  const certificate = new x509.X509Certificate(x509.PemConverter.decodeFirst(cert));
  if (certificate.notAfter.getTime() < nowMs + RENEW_DAYS * DAY_MS) return false;
  if (certificate.notBefore.getTime() > nowMs) return false;
  const names = certificate.getExtension(x509.SubjectAlternativeNameExtension)?.names.items ?? [];
  return addresses.every((address) => names.some((name) => name.value === address));
}

/** A day back, for clocks in the house differ. */
const validity = (nowMs: number, days: number) => ({
  notBefore: new Date(nowMs - DAY_MS),
  notAfter: new Date(nowMs + days * DAY_MS),
});

const serial = (): string =>
  Buffer.from(crypto.getRandomValues(new Uint8Array(16)))
    .toString('hex')
    .replace(/^./, '4');

/** That an authority speaks for home addresses and names alone. */
function homeOnly(): x509.Extension {
  const permitted = [
    ...HOME_NETWORKS.map((iPAddress) => ({ iPAddress })),
    ...HOME_NAMES.map((dNSName) => ({ dNSName })),
  ];
  const constraints = new NameConstraints({
    permittedSubtrees: new GeneralSubtrees(
      permitted.map((base) => new GeneralSubtree({ base: new GeneralName(base) })),
    ),
  });
  return new x509.Extension(id_ce_nameConstraints, true, AsnConvert.serialize(constraints));
}

async function pemOf(key: webcrypto.CryptoKey): Promise<string> {
  return x509.PemConverter.encode(await crypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY');
}

/** Written whole or not at all, for nobody else to read. */
function keep(at: string, text: string): void {
  writeFileSync(`${at}.unfinished`, text, { mode: 0o600 });
  chmodSync(`${at}.unfinished`, 0o600);
  renameSync(`${at}.unfinished`, at);
}
