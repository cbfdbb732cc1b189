import { sha256 } from "@noble/hashes/sha2";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils";
import canonicalize from "canonicalize";

/**
 * The SHA-256 of a value as hex, whatever the order its fields are written in: of its canonical JSON. What is undefined
 * counts as left out.
 *
 * @param salt - put before it, so that nobody finds the value by trying out what it may be.
 * @see RFC 8785, FIPS 180-4
 * @example digestOf({ b: 1, a: 2 }) //=> "d3626ac30a87e6f7a6428233b3c68299976865fa5508e4267c5415c76af7a772"
 */
export function digestOf(value: unknown, salt = ""): string {
  return bytesToHex(sha256(utf8ToBytes(`${salt}${canonicalize(value) ?? ""}`)));
}
