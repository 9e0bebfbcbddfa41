import { describe, expect, test } from "vitest";
import { isReadable, languageOf } from "./language";

// Article 1 of the Universal Declaration of Human Rights (United Nations, 1948) in the translations of the UN's own site,
// from memory; the beginnings are enough.
const ARTICLE_1: Readonly<Record<string, string>> = {
  English:
    "All human beings are born free and equal in dignity and rights. They are endowed with reason and conscience and should act towards one another in a spirit of brotherhood.",
  German:
    "Alle Menschen sind frei und gleich an Würde und Rechten geboren. Sie sind mit Vernunft und Gewissen begabt und sollen einander im Geist der Brüderlichkeit begegnen.",
  French:
    "Tous les êtres humains naissent libres et égaux en dignité et en droits. Ils sont doués de raison et de conscience et doivent agir les uns envers les autres dans un esprit de fraternité.",
  Spanish:
    "Todos los seres humanos nacen libres e iguales en dignidad y derechos y, dotados como están de razón y conciencia, deben comportarse fraternalmente los unos con los otros.",
  Italian:
    "Tutti gli esseri umani nascono liberi ed eguali in dignità e diritti. Essi sono dotati di ragione e di coscienza e devono agire gli uni verso gli altri in spirito di fratellanza.",
  Dutch:
    "Alle mensen worden vrij en gelijk in waardigheid en rechten geboren. Zij zijn begiftigd met verstand en geweten, en behoren zich jegens elkander in een geest van broederschap te gedragen.",
  Portuguese:
    "Todos os seres humanos nascem livres e iguais em dignidade e em direitos. Dotados de razão e de consciência, devem agir uns para com os outros em espírito de fraternidade.",
  Swedish:
    "Alla människor är födda fria och lika i värde och rättigheter. De är utrustade med förnuft och samvete och bör handla gentemot varandra i en anda av broderskap.",
  Polish:
    "Wszyscy ludzie rodzą się wolni i równi pod względem swej godności i swych praw. Są oni obdarzeni rozumem i sumieniem i powinni postępować wobec innych w duchu braterstwa.",
};

describe("the language of a text", () => {
  test.each(Object.entries(ARTICLE_1))("%s", (name, text) => {
    expect([name, "nothing sure"]).toContain(languageOf(text) ?? "nothing sure");
    if (name === "English" || name === "German" || name === "French" || name === "Dutch")
      expect(languageOf(text)).toBe(name);
  });

  test("everyday letters", () => {
    expect(languageOf("Könnten Sie uns bitte die Zeichnung bis Freitag senden? Wir haben sie noch nicht.")).toBe(
      "German",
    );
    expect(languageOf("Pouvez-vous nous envoyer le plan avant vendredi ? Merci pour votre aide.")).toBe("French");
    expect(languageOf("Could you send us the drawing by Friday? We have not got it yet.")).toBe("English");
    expect(languageOf("金曜日までに図面を送っていただけますか。")).toBe("Japanese");
    expect(languageOf("Пожалуйста, пришлите чертёж до пятницы.")).toBe("a language in Cyrillic letters");
  });

  test("what is too short, or no words at all, is tried", () => {
    for (const text of ["", "ok", "👍🎉", "pump 3 broken asap", "1234 5678", "\u200b\u200b"]) {
      expect([text, languageOf(text)]).toEqual([text, null]);
      expect(isReadable(text)).toBe(true);
    }
  });
});

test("a text in a language that is not among those known is not read as English", () => {
  // Finnish, of our own.
  const finnish =
    "Hei Ines, voisitteko lähettää meille uuden piirustuksen ennen perjantaita? Keinu on edelleen rikki ja lapset odottavat kovasti. Soitan huomenna aamulla uudestaan, terveisin Aino Mäkelä Tampereelta.";
  expect(languageOf(finnish)).toBe("another language");
  expect(isReadable(finnish)).toBe(false);
});
