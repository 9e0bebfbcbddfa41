/** Rows of numbers, each number a byte from -127 to 127 as base64 (RFC 4648 section 4), and by how much those of a row are to be multiplied. */
export interface PackedRows {
  readonly scales: readonly number[];
  readonly bytes: string;
}

const MOST = 127;

/** Digits of a scale that are kept. */
const DIGITS = 4;

/** Packs rows of so many numbers: each is kept to the hundred-and-twenty-seventh part of the greatest of its row. */
export function packRows(numbers: Float32Array, width: number): PackedRows {
  const scales: number[] = [];
  let bytes = "";
  for (let from = 0; from < numbers.length; from += width) {
    const row = numbers.subarray(from, from + width);
    const scale = Number((row.reduce((most, one) => Math.max(most, Math.abs(one)), 0) / MOST).toPrecision(DIGITS));
    scales.push(scale);
    for (const one of row) bytes += String.fromCharCode(scale === 0 ? 0 : Math.round(one / scale) & 0xff);
  }
  return { scales, bytes: btoa(bytes) };
}

/** Unpacks what `packRows` packed: row behind row. */
export function unpackRows({ scales, bytes }: PackedRows): Float32Array {
  const all = atob(bytes);
  const numbers = new Float32Array(all.length);
  const width = all.length / scales.length;
  for (let i = 0; i < all.length; i += 1)
    numbers[i] = ((all.charCodeAt(i) << 24) >> 24) * scales[Math.floor(i / width)]!;
  return numbers;
}
