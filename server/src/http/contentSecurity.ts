import { createHash } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { HelmetOptions } from "helmet";

type Policy = Exclude<HelmetOptions["contentSecurityPolicy"], boolean | undefined>;

const STYLES = /<style[^>]*>([\s\S]*?)<\/style>/g;

/**
 * What a page of ours may load and run. Scripts are files of ours alone. Styles are those the built page brings, by
 * their hashes; React Native Web makes an empty sheet, which has a hash as well, and fills it through the style model,
 * which no policy concerns.
 *
 * @param webDir - of the built app; without one only what an answer of the API needs.
 */
export function contentSecurity(webDir: string): Policy {
  return {
    directives: {
      defaultSrc: ["'self'"],
      // The readers of codes and text are WebAssembly.
      scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
      styleSrc: ["'self'", ...styleHashes(webDir)],
      fontSrc: ["'self'"],
      connectSrc: ["'self'", "data:"],
      mediaSrc: ["'self'", "blob:"],
      imgSrc: ["'self'", "data:", "blob:"],
      frameAncestors: ["'none'"],
      // A paper that is printed: made here of what the server sent.
      frameSrc: ["'self'", "blob:"],
      upgradeInsecureRequests: null,
    },
  };
}

function styleHashes(webDir: string): string[] {
  const page = join(webDir, "index.html");
  const styles = existsSync(page) ? [...readFileSync(page, "utf8").matchAll(STYLES)].map(([, text]) => text ?? "") : [];
  return ["", ...styles].map((text) => `'sha256-${createHash("sha256").update(text).digest("base64")}'`);
}
