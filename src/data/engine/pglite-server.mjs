// Lets several connections speak PostgreSQL's protocol (version 3) to one PGlite, which has one session only. Messages of a
// connection are taken in groups that end with Sync or Query, each group as a whole: an unnamed prepared statement lives
// in the session, so that a Parse of one connection must never come between the Parse and Bind of another. A connection
// that has begun a transaction keeps the session until it has ended it.
import net from "node:net";

const SSL_REQUEST = 80877103;
const CANCEL_REQUEST = 80877102;
const PROTOCOL_3 = 196608;

/** Messages after which the client waits for "ready": Sync, Query, Terminate. */
const ENDS_GROUP = new Set(["S".charCodeAt(0), "Q".charCodeAt(0), "X".charCodeAt(0)]);
const TERMINATE = "X".charCodeAt(0);

/** One client: cuts its bytes into messages, and messages into groups. */
class Connection {
  buffer = Buffer.alloc(0);
  messages = [];
  groups = [];
  hasStarted = false;

  constructor(socket) {
    this.socket = socket;
  }

  /** Takes bytes in; true when a group is complete. */
  take(bytes) {
    this.buffer = this.buffer.length > 0 ? Buffer.concat([this.buffer, bytes]) : bytes;
    let isComplete = false;
    for (;;) {
      const message = this.hasStarted ? this.nextMessage() : this.nextStartup();
      if (!message) return isComplete;
      this.messages.push(message);
      if (message.isStartup || ENDS_GROUP.has(message[0])) {
        this.groups.push(this.messages);
        this.messages = [];
        isComplete = true;
      }
    }
  }

  nextStartup() {
    if (this.buffer.length < 8) return null;
    const length = this.buffer.readInt32BE(0);
    const code = this.buffer.readInt32BE(4);
    if (this.buffer.length < length) return null;
    const message = this.buffer.subarray(0, length);
    this.buffer = this.buffer.subarray(length);
    if (code === SSL_REQUEST) {
      this.socket.write("N");
      return this.nextStartup();
    }
    if (code === CANCEL_REQUEST || code !== PROTOCOL_3) {
      this.socket.destroy();
      return null;
    }
    this.hasStarted = true;
    return Object.assign(new Uint8Array(message), { isStartup: true });
  }

  nextMessage() {
    if (this.buffer.length < 5) return null;
    const length = 1 + this.buffer.readInt32BE(1);
    if (this.buffer.length < length) return null;
    const message = new Uint8Array(this.buffer.subarray(0, length));
    this.buffer = this.buffer.subarray(length);
    return message;
  }
}

/** Serves a PGlite on a unix socket. `close` stops listening and lets go of every client. */
export async function servePglite(db, socketPath) {
  const waiting = [];
  const clients = new Set();
  let holder = null;
  let isWorking = false;

  const runGroup = (connection, messages) =>
    db.runExclusive(async () => {
      for (const message of messages) {
        if (message[0] === TERMINATE && !message.isStartup) return connection.socket.end();
        await db.execProtocolRawStream(message, {
          onRawData: (data) => {
            if (data.length > 0 && connection.socket.writable) connection.socket.write(Buffer.from(data));
          },
        });
      }
    });

  /** The next connection whose turn it is: the holder of a transaction, else whoever came first. */
  const nextInTurn = () => {
    if (holder) return holder.groups.length > 0 ? holder : null;
    while (waiting.length > 0) {
      const connection = waiting.shift();
      if (connection.groups.length > 0 && clients.has(connection)) return connection;
    }
    return null;
  };

  const work = async () => {
    if (isWorking) return;
    isWorking = true;
    for (let connection = nextInTurn(); connection; connection = nextInTurn()) {
      const group = connection.groups.shift();
      try {
        await runGroup(connection, group);
      } catch {
        // The protocol itself failed: this client cannot go on, the others can.
        connection.socket.destroy();
      }
      holder = db.isInTransaction() ? connection : null;
      if (holder && !clients.has(holder)) await rollBack();
      else if (!holder && connection.groups.length > 0) waiting.push(connection);
    }
    isWorking = false;
  };

  /** A client that went away in the middle of a transaction: what it had not committed is taken back. */
  const rollBack = async () => {
    holder = null;
    if (db.isInTransaction()) await db.exec("ROLLBACK").catch(() => {});
  };

  const server = net.createServer((socket) => {
    const connection = new Connection(socket);
    clients.add(connection);
    socket.on("data", (bytes) => {
      if (!connection.take(bytes)) return;
      waiting.push(connection);
      void work();
    });
    socket.on("error", () => socket.destroy());
    socket.on("close", () => {
      clients.delete(connection);
      if (holder === connection && !isWorking) void rollBack().then(work);
    });
  });
  await new Promise((resolve, reject) => {
    server.once("error", reject);
    server.listen(socketPath, resolve);
  });
  return {
    async close() {
      const closed = new Promise((resolve) => server.close(resolve));
      for (const { socket } of clients) socket.destroy();
      await closed;
    },
  };
}
