import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { PaperSettings } from "@mechanon/core";

/** What stands on the papers of the demo business. */
export const PAPERS: PaperSettings = {
  quote: {
    en: "Thank you for having us. This is what we found and what it takes; ask us about anything that is not clear.",
    es: "Gracias por confiar en nosotros. Esto es lo que encontramos y lo que cuesta; pregúntenos lo que no quede claro.",
  },
  mechanicsSheet:
    "Wheels by the torque wrench, each one noted. Old parts stay in the tray until the customer saw them.",
  terms: {
    en: "Labor and parts of ours have a warranty of 12 months or 12,000 miles, whichever comes first. Parts you bring have none. Nothing is done beyond what you agree to here.",
    es: "La mano de obra y nuestras piezas tienen garantía de 12 meses o 12,000 millas, lo que ocurra primero. Las piezas que usted traiga no la tienen. No hacemos nada más de lo que usted autorice aquí.",
  },
  logo: readFileSync(join(__dirname, "logo.png")).toString("base64"),
};
