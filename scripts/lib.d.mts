import type { ChildProcess } from 'node:child_process';

export const ROOT: string;
export function say(text: string): void;
export function freePort(): Promise<number>;
export function ensureInstalled(): Promise<void>;
export function ensureChromium(): Promise<string>;
export function buildAll(): Promise<void>;
export const CHROMIUM_FLAGS: readonly string[];
export function startServer(wish: {
  dataDir: string;
  port: number;
  demo?: boolean;
  test?: boolean;
  history?: boolean;
}): Promise<{ child: ChildProcess; url: string }>;
