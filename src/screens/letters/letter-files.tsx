"use client";

import Link from "next/link";
import type { LetterFile } from "../../core/letters/letter";

/** "340 kB", "1.2 MB". */
function saySize(bytes: number): string {
  if (bytes < 1_000) return `${bytes} B`;
  return bytes < 1_000_000 ? `${Math.round(bytes / 1_000)} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
}

/** Files as they can be saved, each under its name. */
export function FileList({ files }: { files: readonly (LetterFile & { readonly letterId: string })[] }) {
  return (
    <>
      {files.map((file) => (
        <a
          key={`${file.letterId}-${file.index}`}
          href={`/api/letters/${file.letterId}/files/${file.index}`}
          download={file.name}
          className="max-w-56 truncate rounded-lg border border-edge px-[9px] py-[3px] text-[12px] text-soft hover:border-tie"
          title={file.about ? `Save ${file.name}: ${file.about}` : `Save ${file.name}`}
        >
          <b className="font-semibold text-ink">{file.name}</b> {file.about ?? saySize(file.size)}
        </a>
      ))}
    </>
  );
}

/** The foot of a letter: its files, and the way to the letter as it came. */
export function LetterFoot({
  letterId,
  files,
}: {
  letterId: string | null;
  files: readonly (LetterFile & { readonly letterId: string })[];
}) {
  if (letterId === null && files.length === 0) return null;
  return (
    <div className="flex min-h-[42px] flex-none flex-wrap items-center gap-x-[10px] gap-y-1 border-t border-hairline py-1.5 text-[12px]">
      {files.length > 0 && (
        <span className="text-soft">
          {files.length} {files.length === 1 ? "file" : "files"}
        </span>
      )}
      <FileList files={files} />
      {letterId && (
        <Link href={`/letters/${letterId}`} className="word ml-auto text-soft">
          the letter as it came
        </Link>
      )}
    </div>
  );
}
