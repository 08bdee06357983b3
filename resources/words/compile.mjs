// Writes common-passwords.bin, the passwords that are tried first: those of a list that is kept for the purpose, and
// the trade's own. Of each stands the beginning of its SHA-256, in order, so that one is found by halving and 50,000
// take a quarter of a megabyte. Run by hand where a list has changed: node resources/words/compile.mjs
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';

const BYTES = 5;
const here = name => new URL(name, import.meta.url);
const kept = '../../node_modules/@zxcvbn-ts/language-common/src/passwords.json';
const words = [
    ...JSON.parse(readFileSync(here(kept), 'utf8')),
    ...readFileSync(here('common-passwords.txt'), 'utf8').split('\n').filter(Boolean),
];
const digests = words.map(word => createHash('sha256').update(word.toLowerCase()).digest('hex').slice(0, 2 * BYTES));
const set = [...new Set(digests)].sort();
writeFileSync(here('common-passwords.bin'), Buffer.from(set.join(''), 'hex'));
console.log(`${set.length} passwords`);
