import { createContext, use, useEffect, useMemo, useState, type ReactNode } from "react";
import { LANGUAGES, languageOf, say, type Language, type WordKey, type WordValues } from "@mechanon/core";

const KEPT = "mechanon-language";

export interface Speaking {
  language: Language;
  /** Words of ours in that language. */
  t: (key: WordKey, values?: WordValues) => string;
  /** What was picked by hand stays picked, on this device. */
  pick: (language: Language) => void;
  /** What a customer is spoken to in, where nothing was picked on this device. */
  suggest: (language: Language) => void;
}

const Slot = createContext<Speaking | null>(null);

/** Speaks a customer's language: the one they picked, the one that is kept of them, or their browser's. */
export function LanguageProvider({ children }: { children: ReactNode }) {
  const [picked, setPicked] = useState(readPicked);
  const [suggested, setSuggested] = useState<Language | null>(null);
  const language = picked ?? suggested ?? languageOf(wishedLanguages());
  useEffect(() => {
    if (typeof document !== "undefined") document.documentElement.lang = language;
  }, [language]);
  const speaking = useMemo(
    (): Speaking => ({
      language,
      t: (key, values) => say(language, key, values),
      pick: (next) => {
        setPicked(next);
        keepPicked(next);
      },
      suggest: setSuggested,
    }),
    [language],
  );
  return <Slot.Provider value={speaking}>{children}</Slot.Provider>;
}

/** @throws {Error} outside a LanguageProvider. */
export function useSpeaking(): Speaking {
  const speaking = use(Slot);
  if (!speaking) throw new Error("useSpeaking must be used within a LanguageProvider");
  return speaking;
}

/** What the browser asks for. */
function wishedLanguages(): readonly string[] {
  return typeof navigator === "undefined" ? [] : (navigator.languages ?? []);
}

function readPicked(): Language | null {
  try {
    const kept = localStorage.getItem(KEPT);
    return LANGUAGES.find((each) => each === kept) ?? null;
  } catch {
    // A browser that keeps nothing asks again.
    return null;
  }
}

function keepPicked(language: Language): void {
  try {
    localStorage.setItem(KEPT, language);
  } catch {
    // It is picked for this page, at least.
  }
}
