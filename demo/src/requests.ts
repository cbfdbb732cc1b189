import type { RequestSettings } from "@mechanon/core";

/** Under which its page is found. */
export const ASK_SLUG = "larkhaven";

const wish = (
  id: string,
  en: string,
  es: string,
  phraseId: string | null,
  jobId: string | null = null,
): RequestSettings["wishes"][number] => ({ id, en, es, phraseId, jobId });

/** What customers may ask for by themselves, and on what terms. */
export const REQUESTS: RequestSettings = {
  isOpen: true,
  wishes: [
    wish("oil", "Oil and filter", "Aceite y filtro", "oil-due", "oil-service"),
    wish("no-start", "It does not start", "No arranca", "no-start"),
    wish("lamp", "A warning lamp is on", "Luz de advertencia encendida", "warning-light"),
    wish("brakes", "Brakes squeal or grind", "Los frenos rechinan", "brakes-squeal"),
    wish("battery", "Battery is flat", "Batería descargada", "battery-dies"),
    wish("tires", "New tires", "Llantas nuevas", "tires-new"),
    wish("warm-air", "Air conditioning blows warm", "El aire acondicionado no enfría", "ac-warm"),
    wish("hot", "It runs hot", "Se calienta", "runs-hot"),
    wish("buying", "Look at a car I want to buy", "Revisar un auto que quiero comprar", "buying"),
    wish("check", "Check the car over", "Revisión general", "check-over"),
  ],
  diagnosisCents: 9500,
  termsSpanish: "Una visita cancelada con menos de un día de aviso, o sin nadie presente, cuesta $35.00.",
  allowedOrigins: [],
  holdHours: 12,
  changeHours: 24,
  linkDays: 90,
};
