import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { defineConfig } from 'vite';

/** The service worker, built after all else: it knows by name every file it has to put on the phone. */
const manifest = JSON.parse(readFileSync('public/build/manifest.json', 'utf8'));
const files = [...new Set(Object.values(manifest).flatMap(each => [each.file, ...(each.css ?? []), ...(each.assets ?? [])]))];
// Labels are printed at the desk: what draws their codes is fetched with their page alone.
const atTheDesk = /\/labels-/;
const assets = [...files.filter(file => !atTheDesk.test(file)).map(file => `/build/${file}`), '/mark.svg'];

export default defineConfig({
    publicDir: false,
    define: {
        ASSETS: JSON.stringify(assets),
        VERSION: JSON.stringify(createHash('sha256').update(assets.join()).digest('hex').slice(0, 12)),
        'process.env.NODE_ENV': '"production"',
    },
    build: {
        outDir: 'public',
        emptyOutDir: false,
        lib: { entry: 'resources/js/sw.js', formats: ['iife'], name: 'sw', fileName: () => 'sw.js' },
    },
});
