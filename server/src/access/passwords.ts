import { randomBytes, scrypt as scryptCallback, timingSafeEqual, type ScryptOptions } from "node:crypto";

/** Cost of one try: about 32 MB and some tens of milliseconds. @see RFC 7914 */
const COST: ScryptOptions = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };
const KEY_BYTES = 32;

/** A salted scrypt hash, with the cost it was made with. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await scrypt(password, salt);
  return `scrypt$${salt.toString("base64url")}$${key.toString("base64url")}`;
}

/** Whether a password is the one that was hashed; takes as long for a wrong one. */
export async function verifyPassword(password: string, hash: string): Promise<boolean> {
  const [scheme, salt, expected] = hash.split("$");
  if (scheme !== "scrypt" || !salt || !expected) return false;
  const key = await scrypt(password, Buffer.from(salt, "base64url"));
  return timingSafeEqual(key, Buffer.from(expected, "base64url"));
}

function scrypt(password: string, salt: Buffer): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    scryptCallback(password.normalize("NFKC"), salt, KEY_BYTES, COST, (error, key) =>
      error ? reject(error) : resolve(key),
    );
  });
}
