/** An event as its reducer sees it. */
export interface Entry<Body> {
  id: string;
  atMs: number;
  body: Body;
}
