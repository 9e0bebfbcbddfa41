const encoder = new TextEncoder();

function bytesOf(part: Uint8Array | ArrayBuffer | string): Uint8Array {
  if (typeof part === "string") return encoder.encode(part);
  return part instanceof ArrayBuffer ? new Uint8Array(part) : part;
}

/**
 * A Blob (W3C File API) that only gathers bytes and gives them back. The mail parser puts the lines of each part of a message
 * into a Blob, and the platform's own needs more time for that than the parser for the whole message.
 */
export class LightBlob {
  private readonly bytes: Uint8Array<ArrayBuffer>;

  constructor(parts: readonly (Uint8Array | ArrayBuffer | string)[] = []) {
    const pieces = parts.map(bytesOf);
    this.bytes = new Uint8Array(pieces.reduce((sum, piece) => sum + piece.length, 0));
    let at = 0;
    for (const piece of pieces) {
      this.bytes.set(piece, at);
      at += piece.length;
    }
  }

  async arrayBuffer(): Promise<ArrayBuffer> {
    return this.bytes.buffer.slice(0);
  }
}
