import { createServer as createPlain, type IncomingMessage, type ServerResponse } from 'node:http';
import { createServer as createSecure } from 'node:https';
import { createServer, type Server, type Socket } from 'node:net';
import type { RequestListener } from 'node:http';
import type { Certificate } from './certificate.js';

/** First byte of a TLS connection. */
const TLS = 22;
/** ms in which a connection has to say something, and connections at once. */
const [PATIENCE, MOST] = [10_000, 200];

/** What plain HTTP is answered with: where to go, and nothing else. */
function redirect({ headers, url }: IncomingMessage, response: ServerResponse): void {
  const host = headers.host ?? '';
  // a name or an address with its port; anything else is no address of this computer
  if (!/^[\w.:[\]-]+$/.test(host)) {
    response.writeHead(400).end();
    return;
  }
  const path = url?.startsWith('/') === true ? url : '/';
  response.writeHead(301, { location: `https://${host}${path}`, 'content-length': 0, connection: 'close' }).end();
}

/** The port on the network: what is TLS goes to the application, what is not is sent there. */
export class Front {
  private readonly sockets = new Set<Socket>();

  private constructor(
    private readonly server: Server,
    readonly port: number,
  ) {}

  /**
   * @param host address to answer at
   * @param port 0 for any free one
   * @throws the error of the system where it cannot
   */
  static async open(host: string, port: number, { key, cert }: Certificate, app: RequestListener): Promise<Front> {
    const secure = createSecure({ key, cert, minVersion: 'TLSv1.2' }, app);
    const plain = createPlain(redirect);
    const server = createServer();
    server.maxConnections = MOST;
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject);
      server.listen(port, host, () => {
        server.off('error', reject);
        resolve();
      });
    });
    const address = server.address();
    const front = new Front(server, typeof address === 'object' && address !== null ? address.port : port);
    server.on('connection', (socket) => {
      front.greet(socket, secure, plain);
    });
    return front;
  }

  private greet(socket: Socket, secure: ReturnType<typeof createSecure>, plain: ReturnType<typeof createPlain>): void {
    this.sockets.add(socket);
    socket.once('close', () => this.sockets.delete(socket));
    socket.on('error', () => {
      socket.destroy();
    });
    socket.setTimeout(PATIENCE, () => {
      socket.destroy();
    });
    socket.once('data', (first: Buffer) => {
      socket.setTimeout(0);
      socket.removeAllListeners('timeout');
      socket.pause();
      socket.unshift(first);
      (first[0] === TLS ? secure : plain).emit('connection', socket);
      process.nextTick(() => socket.resume());
    });
  }

  async close(): Promise<void> {
    const closed = new Promise<void>((resolve) => {
      this.server.close(() => {
        resolve();
      });
    });
    for (const socket of this.sockets) socket.destroy();
    await closed;
  }
}
