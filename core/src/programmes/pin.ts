import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';

/** What a case holds on to: which content, in which version, told apart by its hash. */
export interface Pin {
  id: string;
  version: number;
  hash: string;
}

/** A value as canonical JSON (RFC 8785): the same content is always the same text. */
export const canonicalText = (content: unknown): string => canonicalize(content) ?? 'null';

/** SHA-256, in hex, of a value's canonical JSON. */
export const contentHash = (content: unknown): string =>
  bytesToHex(sha256(utf8ToBytes(canonicalText(content))));

/** The pin of a programme or a model. */
export const pinOf = (content: { id: string; version: number }): Pin => ({
  id: content.id,
  version: content.version,
  hash: contentHash(content),
});
