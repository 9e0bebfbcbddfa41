"use client";

import { useRef, useState } from "react";
import type { WrittenFile } from "./use-written";

/** Files that go along with a letter: added, and taken off again. */
export function PaperFiles({
  files,
  onChange,
}: {
  files: readonly WrittenFile[];
  onChange: (files: readonly WrittenFile[]) => void;
}) {
  const field = useRef<HTMLInputElement>(null);
  const [says, setSays] = useState("");
  const add = async (chosen: FileList | null) => {
    let now = files;
    setSays("");
    for (const file of chosen ?? []) {
      const response = await fetch(`/api/draft-files?name=${encodeURIComponent(file.name)}`, {
        method: "POST",
        headers: { "content-type": file.type || "application/octet-stream" },
        body: file,
      }).catch(() => null);
      const body = await response?.json().catch(() => null);
      if (!response?.ok) {
        setSays(body?.says ?? `“${file.name}” could not be put to the letter.`);
        continue;
      }
      now = [...now, body as WrittenFile];
      onChange(now);
    }
    if (field.current) field.current.value = "";
  };
  return (
    <div className="mb-2 flex flex-wrap items-center gap-2 text-[12px]">
      {files.map((file) => (
        <span key={file.id} className="rounded-lg border border-edge px-2 py-[3px]">
          <b>{file.name}</b>{" "}
          <button
            type="button"
            className="word text-act"
            aria-label={`Take off ${file.name}`}
            onClick={() => onChange(files.filter((one) => one.id !== file.id))}
          >
            take off
          </button>
        </span>
      ))}
      <button type="button" className="word" onClick={() => field.current?.click()}>
        Put a file to it
      </button>
      <input
        ref={field}
        type="file"
        multiple
        hidden
        aria-label="Files for the letter"
        onChange={(event) => void add(event.target.files)}
      />
      {says && (
        <span role="alert" className="font-semibold text-late">
          {says}
        </span>
      )}
    </div>
  );
}
