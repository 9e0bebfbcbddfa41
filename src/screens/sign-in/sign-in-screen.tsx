"use client";

import { type FormEvent, useState } from "react";
import type { PersonView } from "../../core/views/views";
import { PersonLabel } from "../parts/marks";

const WRONG = "This address and password do not belong together. Check both; nothing else has happened.";

async function post(path: string, body: unknown): Promise<Response | null> {
  return fetch(path, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  }).catch(() => null);
}

/** Signing in with e-mail and password; in the demo also with one click on a person. */
export function SignInScreen({
  organisation,
  demoPeople,
  then,
}: {
  organisation: string;
  demoPeople: readonly PersonView[];
  then: string;
}) {
  const [fault, setFault] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const enter = async (answer: Promise<Response | null>) => {
    setBusy(true);
    setFault(null);
    const response = await answer;
    if (response?.ok) location.assign(then);
    else {
      setBusy(false);
      setFault(
        !response
          ? "The server cannot be reached. Try again."
          : response.status === 429
            ? "Too many tries. Wait a minute, then try again."
            : response.status === 401
              ? WRONG
              : `The server answered ${response.status}. Try again.`,
      );
    }
  };
  const onSubmit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    void enter(
      post("/api/auth/sign-in/email", { email: String(form.get("email")).trim(), password: form.get("password") }),
    );
  };
  return (
    <div className="flex min-h-dvh flex-col">
      <header className="bar">
        <span className="logo">
          Jam<i>·</i>Kettle
        </span>
      </header>
      <main className="flex flex-1 items-start justify-center gap-4 p-4 pt-[9vh] max-md:flex-col max-md:items-center max-md:pt-4">
        <section className="pan w-full max-w-[400px] p-7">
          <h1 className="text-[21px]">Sign in{organisation ? ` to ${organisation}` : ""}</h1>
          <p className="mt-1 text-soft">Your round is waiting.</p>
          <form className="mt-5 flex flex-col gap-4" onSubmit={onSubmit}>
            <label className="flex flex-col gap-1">
              <span className="text-[13px] font-semibold">E-mail</span>
              <input
                className="field"
                type="email"
                name="email"
                autoComplete="username"
                required
                autoFocus={demoPeople.length === 0}
              />
            </label>
            <label className="flex flex-col gap-1">
              <span className="text-[13px] font-semibold">Password</span>
              <input className="field" type="password" name="password" autoComplete="current-password" required />
            </label>
            {fault && (
              <p role="alert" className="text-[13px] font-semibold text-late">
                {fault}
              </p>
            )}
            <button type="submit" className="btn justify-center" disabled={isBusy}>
              Sign in
            </button>
          </form>
        </section>
        {demoPeople.length > 0 && (
          <section className="pan w-full max-w-[400px] p-7">
            <h2 className="text-[16px]">The demo: come in as</h2>
            <p className="mt-1 text-[13px] text-soft">These people are invented. One click signs you in.</p>
            <ul className="mt-3 flex flex-col">
              {demoPeople.map((person) => (
                <li key={person.id} className="border-b border-hairline last:border-0">
                  <button
                    type="button"
                    disabled={isBusy}
                    className="flex w-full items-center gap-3 rounded-lg px-2 py-2 text-left hover:bg-act-wash"
                    onClick={() => void enter(post("/api/demo-sign-in", { personId: person.id }))}
                  >
                    <PersonLabel initials={person.initials} name={person.name} isTeam size="large" />
                    <span>
                      <b className="block">{person.name}</b>
                      <span className="text-[12px] text-soft">{person.work}</span>
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
    </div>
  );
}
