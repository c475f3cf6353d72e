/** A node of a syntax tree, as far as the build asks for it. */
export interface Node {
  type: string;
  start: number;
  end: number;
  value?: unknown;
  key?: { type: string; name?: string };
}

const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && 'type' in value && typeof value.type === 'string';

/** Every node that is asked for, in the order of the text; what lies within one of them is not looked through. */
export function nodesIn(node: Node, asked: (node: Node) => boolean, found: Node[] = []): Node[] {
  if (asked(node)) found.push(node);
  else for (const child of Object.values(node).flat()) if (isNode(child)) nodesIn(child, asked, found);
  return found;
}
