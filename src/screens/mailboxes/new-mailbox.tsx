"use client";

import { Field, Input, Label, Select } from "@headlessui/react";
import { type FormEvent, type ReactNode, useState } from "react";
import { useHouse } from "../parts/house";

const FIELD = "w-full rounded-[10px] border border-tie bg-pan px-3 py-1.5 text-[14px] text-ink";

function Labelled({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Field>
      <Label className="text-[12px] text-soft">{label}</Label>
      {children}
    </Field>
  );
}

/** What is asked for to read a mailbox. The connection is tried before anything is kept. */
export function NewMailbox({ onAdd }: { onAdd: (wanted: object) => Promise<boolean> }) {
  const { me } = useHouse();
  const [values, setValues] = useState({
    name: me.address,
    host: "",
    port: "993",
    security: "tls",
    userName: me.address,
    password: "",
    folder: "INBOX",
    sentFolder: "Sent",
    since: "",
    mark: "",
    onDealt: "nothing",
    moveTo: "Archive",
    isPersonal: true,
  });
  const [isBusy, setBusy] = useState(false);
  const text = (
    key: "name" | "host" | "port" | "userName" | "password" | "folder" | "sentFolder" | "since" | "mark" | "moveTo",
    type = "text",
  ) => (
    <Input
      className={FIELD}
      type={type}
      autoComplete={type === "password" ? "new-password" : "off"}
      value={values[key]}
      onChange={(event) => setValues({ ...values, [key]: event.target.value })}
    />
  );
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    await onAdd(values);
    setBusy(false);
  };
  return (
    <form
      className="grid grid-cols-3 gap-3 border-b border-hairline bg-wash px-5 py-4 max-sm:grid-cols-1"
      onSubmit={(event) => void submit(event)}
    >
      <Labelled label="Name">{text("name")}</Labelled>
      <Labelled label="Whose letters">
        <Select
          className={FIELD}
          value={values.isPersonal ? "mine" : "shared"}
          onChange={(event) => setValues({ ...values, isPersonal: event.target.value === "mine" })}
        >
          <option value="mine">mine alone</option>
          <option value="shared">everybody’s</option>
        </Select>
      </Labelled>
      <Labelled label="Letters since (all, if empty)">{text("since", "date")}</Labelled>
      <Labelled label="IMAP server">{text("host")}</Labelled>
      <Labelled label="Port">{text("port")}</Labelled>
      <Labelled label="Encryption">
        <Select
          className={FIELD}
          value={values.security}
          onChange={(event) => setValues({ ...values, security: event.target.value })}
        >
          <option value="tls">TLS</option>
          <option value="starttls">STARTTLS</option>
          <option value="none">none, only on this machine</option>
        </Select>
      </Labelled>
      <Labelled label="Name to sign in">{text("userName")}</Labelled>
      <Labelled label="Password">{text("password", "password")}</Labelled>
      <Labelled label="Only letters with this mark (or none)">{text("mark")}</Labelled>
      <Labelled label="Folder">{text("folder")}</Labelled>
      <Labelled label="Folder of sent letters (or none)">{text("sentFolder")}</Labelled>
      <Labelled label="When a letter is dealt with">
        <Select
          className={FIELD}
          value={values.onDealt}
          onChange={(event) => setValues({ ...values, onDealt: event.target.value })}
        >
          <option value="nothing">change nothing there</option>
          <option value="mark read">mark it read there</option>
          <option value="move">move it there</option>
        </Select>
      </Labelled>
      {values.onDealt === "move" && <Labelled label="Move to the folder">{text("moveTo")}</Labelled>}
      <div className="col-span-full flex items-center gap-3">
        <button type="submit" className="btn" disabled={isBusy}>
          {isBusy ? "Trying the connection …" : "Try it, and add it"}
        </button>
        <span className="text-[12.5px] text-soft">The password is kept encrypted; the key is not in the database.</span>
      </div>
    </form>
  );
}
