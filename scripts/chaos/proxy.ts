import { connect, createServer } from "node:net";
import type { Server, Socket } from "node:net";

/**
 * A way to the server that can be cut: all connections at once, in the middle of whatever they
 * carry.
 */
export class Proxy {
  private readonly sockets = new Set<Socket>();
  private readonly server: Server;
  cuts = 0;

  constructor(target: number) {
    this.server = createServer((from) => {
      const to = connect(target, "127.0.0.1");
      for (const socket of [from, to]) {
        this.sockets.add(socket);
        socket.on("error", () => undefined);
        socket.on("close", () => {
          this.sockets.delete(socket);
          from.destroy();
          to.destroy();
        });
      }
      from.pipe(to);
      to.pipe(from);
    });
  }

  listen(): Promise<number> {
    return new Promise((resolve) => {
      this.server.listen(0, "127.0.0.1", () => {
        const address = this.server.address();
        resolve(typeof address === "object" && address ? address.port : 0);
      });
    });
  }

  cut(): void {
    this.cuts++;
    for (const socket of this.sockets) socket.destroy();
  }

  close(): void {
    this.server.close();
    this.cut();
  }
}
