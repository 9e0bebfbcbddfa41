"use client";

import { type FormEvent, useEffect, useState } from "react";

const FIELDS = [
  ["organisation", "Name of the firm", "text", "organization"],
  ["zone", "Time zone", "text", "off"],
  ["name", "Your name", "text", "name"],
  ["address", "Your e-mail", "email", "username"],
  ["password", "A password, 8 characters at least", "password", "new-password"],
] as const;

/** The first start of an empty house: the firm and its first member. */
export function SetUpScreen() {
  const [fault, setFault] = useState<string | null>(null);
  const [zone, setZone] = useState("UTC");
  useEffect(() => setZone(Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC"), []);
  const onSubmit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    setFault(null);
    const values = Object.fromEntries(new FormData(event.currentTarget));
    const response = await fetch("/api/set-up", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(values),
    }).catch(() => null);
    if (response?.ok) location.assign("/sign-in");
    else
      setFault(
        (await response?.json().catch(() => null))?.says ??
          "The server cannot be reached. What you typed is still here.",
      );
  };
  return (
    <main className="flex min-h-dvh items-start justify-center p-4 pt-[8vh]">
      <section className="pan w-full max-w-[440px] p-7">
        <h1 className="text-[21px]">Set up Jam Kettle</h1>
        <p className="mt-1 text-soft">Nobody works here yet. Say whose mail it is, and who you are.</p>
        <form className="mt-5 flex flex-col gap-4" onSubmit={(event) => void onSubmit(event)}>
          {FIELDS.map(([name, label, type, autoComplete]) => (
            <label key={name} className="flex flex-col gap-1">
              <span className="text-[13px] font-semibold">{label}</span>
              <input
                className="field"
                name={name}
                type={type}
                autoComplete={autoComplete}
                required
                {...(name === "zone" ? { value: zone, onChange: (event) => setZone(event.target.value) } : {})}
              />
            </label>
          ))}
          {fault && (
            <p role="alert" className="text-[13px] font-semibold text-late">
              {fault}
            </p>
          )}
          <button type="submit" className="btn justify-center">
            Set up
          </button>
        </form>
      </section>
    </main>
  );
}
