import fs from "node:fs";
import { isSetUp } from "../acts/set-up";
import { goAhead, now } from "../data/clock";
import { databaseSettings } from "../data/engine/database";
import { lockFolder } from "../data/engine/folder-lock";
import { sharedDatabase } from "../data/engine/shared-database";
import { loadDemo } from "../postroom/load-demo";
import { connectMailbox } from "../postroom/room/connect-mailbox";
import { PostRoom, setPostRoom } from "../postroom/room/room";
import { readWords } from "./options";
import { progress } from "./progress";
import { serve } from "./serve";
import { WrongCall } from "./wrong-call";

/** `jam demo [--fresh]`: loads the demo into an empty house, then serves it; a second start keeps what is there. */
export async function demo(words: readonly string[]): Promise<number> {
  const { has } = readWords(words, ["fresh"], []);
  const settings = databaseSettings("jam demo", false);
  if (has("fresh")) {
    if (settings.url)
      throw new WrongCall("--fresh empties a data folder; with DATABASE_URL set, empty that database yourself.");
    // Taking the folder first: what another server has open is not thrown away under its feet.
    const unlock = await lockFolder(settings.folder, "jam demo --fresh");
    unlock();
    fs.rmSync(`${settings.folder}/db`, { recursive: true, force: true });
    fs.rmSync(`${settings.folder}/post-room.json`, { force: true });
  }
  const line = progress();
  line.say("Opening the data folder …");
  const { db } = await sharedDatabase("jam demo");
  if (await isSetUp(db)) line.end(`The data of ${settings.folder} are kept (npm run demo -- --fresh starts anew).`);
  else {
    await loadDemo(db, now(), line.say);
    line.end("The demo is loaded.");
  }
  // The demo's own outside world, on this machine alone; other settings win over it.
  if (process.env.JAM_SMTP_OUT || process.env.JAM_SMTP_PORT) return serve("jam demo");
  const room = new PostRoom(`${settings.folder}/post-room.json`, now, goAhead);
  process.env.JAM_DOMAIN ??= "larkmoor.example";
  process.env.JAM_SMTP_OUT = `smtp://127.0.0.1:${await room.open()}`;
  process.env.JAM_SMTP_PORT = "0";
  await connectMailbox(db, settings.folder, await room.openMailbox(), now());
  setPostRoom(room);
  return serve("jam demo", { onDoor: (port) => room.deliverTo(port) });
}
