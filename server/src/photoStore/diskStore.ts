import { randomBytes } from "node:crypto";
import { mkdir, readFile, rename, rm, writeFile } from "node:fs/promises";
import { dirname, join } from "node:path";
import type { PhotoStore } from "./photoStore";

/** Photos as files of a folder, for one server or a folder that all share. */
export function diskStore(folder: string): PhotoStore {
  const pathOf = (key: string): string => join(folder, key);
  return {
    async put(key, _type, bytes) {
      const path = pathOf(key);
      await mkdir(dirname(path), { recursive: true });
      // Whole or not at all, also when the server is killed meanwhile.
      const unfinished = `${path}.${randomBytes(6).toString("hex")}`;
      await writeFile(unfinished, bytes);
      await rename(unfinished, path);
    },
    async get(key) {
      try {
        return await readFile(pathOf(key));
      } catch (error) {
        if (isMissing(error)) return null;
        throw error;
      }
    },
    remove: (key) => rm(pathOf(key), { force: true }),
  };
}

function isMissing(error: unknown): boolean {
  return typeof error === "object" && error !== null && "code" in error && error.code === "ENOENT";
}
