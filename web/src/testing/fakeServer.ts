import { PROBLEM_TYPE, type ProblemCode, ROUTES } from '@big-ladle/core/contract';
import { vi } from 'vitest';

type Routes = typeof ROUTES;
interface Asked {
  params: Record<string, string>;
  query: Record<string, string>;
  body: unknown;
}
type Answers = { -readonly [K in keyof Routes]?: (asked: Asked) => unknown };

/** A refusal as the kitchen server gives it. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: ProblemCode,
  ) {
    super(code);
  }
}

/** The path of a route as an expression that finds its names. */
const shapeOf = (path: string): RegExp => new RegExp(`^${path.replace(/:(\w+)/g, '(?<$1>[^/]+)')}$`);

/** A kitchen server in memory, in place of `fetch`: it answers the routes it was given, and says what it was asked. */
export class FakeServer {
  /** Nobody answers. */
  down = false;
  readonly asked: { route: keyof Routes; asked: Asked }[] = [];

  constructor(readonly answers: Answers) {
    vi.stubGlobal('fetch', (address: string, init: RequestInit = {}) => this.fetch(address, init));
  }

  /** What was asked of one route so far. */
  askedOf(route: keyof Routes): Asked[] {
    return this.asked.filter((a) => a.route === route).map((a) => a.asked);
  }

  private async fetch(address: string, { method = 'GET', body }: RequestInit): Promise<Response> {
    if (this.down) throw new TypeError('Failed to fetch');
    const url = new URL(address, 'http://kitchen.test');
    const path = url.pathname.replace(/^\/api/, '');
    for (const [name, route] of Object.entries(ROUTES) as [keyof Routes, Routes[keyof Routes]][]) {
      const found = route.method === method ? shapeOf(route.path).exec(path) : null;
      const answer = this.answers[name];
      if (!found || !answer) continue;
      const asked: Asked = {
        params: { ...found.groups },
        query: Object.fromEntries(url.searchParams),
        body: typeof body === 'string' ? JSON.parse(body) : undefined,
      };
      this.asked.push({ route: name, asked });
      try {
        const said = await answer(asked);
        return said === undefined ? new Response(null, { status: 204 }) : Response.json(said);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        return Response.json(
          { type: `${PROBLEM_TYPE}${error.code}`, title: error.code },
          { status: error.status },
        );
      }
    }
    throw new Error(`The test's server has no answer to ${method} ${path}`);
  }
}
