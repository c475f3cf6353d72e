import { connect, createServer, type Server, type Socket } from 'node:net';

/** A wire between a device and the kitchen server that can be cut, or let through in one direction only. */
export class Wire {
  port = 0;
  private server: Server | null = null;
  private readonly sockets = new Set<Socket>();
  /** What the server answers does not arrive any more. */
  deaf = false;

  constructor(private readonly to: () => number) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async lay(): Promise<this> {
    this.server = createServer((near) => {
      const far = connect(this.to(), '127.0.0.1');
      for (const socket of [near, far]) {
        this.sockets.add(socket);
        socket.on('close', () => this.sockets.delete(socket));
        socket.on('error', () => socket.destroy());
      }
      near.on('data', (data) => far.write(data));
      far.on('data', (data) => {
        if (!this.deaf) near.write(data);
      });
      near.on('close', () => far.destroy());
      far.on('close', () => near.destroy());
    });
    await new Promise<void>((resolve) => this.server!.listen(this.port, '127.0.0.1', resolve));
    const address = this.server.address();
    this.port = typeof address === 'object' && address ? address.port : 0;
    return this;
  }

  /** Nothing goes through, and nobody answers. */
  async cut(): Promise<void> {
    for (const socket of this.sockets) socket.destroy();
    await new Promise((resolve) => this.server?.close(resolve));
    this.server = null;
  }

  async mend(): Promise<void> {
    this.deaf = false;
    await this.lay();
  }
}
