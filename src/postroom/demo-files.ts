import zlib from "node:zlib";

/** A small real file of the demo, made from its name: always the same bytes. */
export function demoFile(name: string): { content: Buffer; contentType: string } {
  if (name.endsWith(".pdf")) return { content: pdf(name), contentType: "application/pdf" };
  if (name.endsWith(".png")) return { content: png(name), contentType: "image/png" };
  return { content: csv(name), contentType: "text/csv" };
}

function numberOf(text: string): number {
  return [...text].reduce((sum, sign) => (sum * 31 + sign.charCodeAt(0)) % 99_991, 7);
}

/** One page with a few lines of text (ISO 32000-1, the least a reader asks for). */
function pdf(name: string): Buffer {
  const title = name.replace(/\.pdf$/, "").replaceAll("-", " ");
  const lines = [
    `Larkmoor Playworks: ${title}`,
    "Sheet 1 of 1. All measures in millimetres.",
    ...Array.from(
      { length: 12 },
      (_, i) => `Line ${i + 1}: ${(numberOf(`${name}${i}`) % 4_000) + 120} x ${(numberOf(`${i}${name}`) % 900) + 60}`,
    ),
  ];
  const content = `BT /F1 14 Tf 60 780 Td 20 TL ${lines.map((line) => `(${line}) Tj T*`).join(" ")} ET`;
  const objects = [
    "<< /Type /Catalog /Pages 2 0 R >>",
    "<< /Type /Pages /Kids [3 0 R] /Count 1 >>",
    "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents 4 0 R /Resources << /Font << /F1 5 0 R >> >> >>",
    `<< /Length ${content.length} >>\nstream\n${content}\nendstream`,
    "<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>",
  ];
  let body = "%PDF-1.4\n";
  const offsets = objects.map((object, i) => {
    const at = body.length;
    body += `${i + 1} 0 obj\n${object}\nendobj\n`;
    return at;
  });
  const table = offsets.map((at) => `${String(at).padStart(10, "0")} 00000 n \n`).join("");
  return Buffer.from(
    `${body}xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${table}trailer\n<< /Size ${objects.length + 1} /Root 1 0 R >>\nstartxref\n${body.length}\n%%EOF\n`,
    "latin1",
  );
}

function chunk(type: string, data: Buffer): Buffer {
  const named = Buffer.concat([Buffer.from(type, "latin1"), data]);
  const length = Buffer.alloc(4);
  length.writeUInt32BE(data.length);
  const check = Buffer.alloc(4);
  check.writeUInt32BE(crc(named));
  return Buffer.concat([length, named, check]);
}

/** CRC-32 as PNG asks for it (RFC 2083, section 15). */
function crc(data: Buffer): number {
  let value = 0xffffffff;
  for (const byte of data) {
    value ^= byte;
    for (let bit = 0; bit < 8; bit += 1) value = value & 1 ? (value >>> 1) ^ 0xedb88320 : value >>> 1;
  }
  return (value ^ 0xffffffff) >>> 0;
}

/** A picture of hills, posts and sky in three colours, 160 by 100. */
function png(name: string): Buffer {
  const [width, height, seed] = [160, 100, numberOf(name)];
  const rows: Buffer[] = [];
  for (let y = 0; y < height; y += 1) {
    const row = Buffer.alloc(1 + width);
    for (let x = 0; x < width; x += 1) {
      const hill = 62 + 14 * Math.sin((x + seed) / 19) + 6 * Math.sin((x * 3 + seed) / 11);
      const isPost = (x + seed) % 37 < 4 && y > 30;
      row[1 + x] = isPost ? 2 : y > hill ? 1 : 0;
    }
    rows.push(row);
  }
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 3, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk("IHDR", header),
    chunk("PLTE", Buffer.from([200, 220, 240, 96, 130, 60, 120, 80, 50])),
    chunk("IDAT", zlib.deflateSync(Buffer.concat(rows))),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}

function csv(name: string): Buffer {
  const rows = Array.from(
    { length: 8 },
    (_, i) =>
      `${i + 1},"${name.replace(/\.csv$/, "")} ${i + 1}",${(numberOf(name + i) % 900) + 100},${((numberOf(i + name) % 400) / 100).toFixed(2)}`,
  );
  return Buffer.from(`no,name,length mm,fall %\r\n${rows.join("\r\n")}\r\n`);
}
