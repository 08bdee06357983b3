import purgecss from '@fullhuman/postcss-purgecss';
import laravel from 'laravel-vite-plugin';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import subsetFont from 'subset-font';
import { defineConfig } from 'vite';

/** What the Latin pieces of the fonts are asked for (resources/sass/_fonts.scss), as ranges of code points. */
const LATIN = readFileSync('resources/sass/_fonts.scss', 'utf8')
    .match(/\$latin:([^;]+);/)[1];

/** What of the fonts' own workings pages ask for: pairs, marks, ligatures, figures of one width. */
const FEATURES = ['kern', 'mark', 'mkmk', 'ccmp', 'locl', 'liga', 'tnum'];

/**
 * The Latin pieces come with alternates that no page asks for: small capitals, figures of other kinds. Without them
 * they are a quarter lighter, and a phone on a weak signal waits for them.
 */
const lightFonts = () => ({
    name: 'light-fonts',
    apply: 'build',
    async generateBundle(options, bundle) {
        const signs = [...LATIN.matchAll(/U\+([0-9A-F]+)(?:-([0-9A-F]+))?/gi)].flatMap(([, from, to]) =>
            Array.from({ length: parseInt(to ?? from, 16) - parseInt(from, 16) + 1 }, (each, index) =>
                String.fromCodePoint(parseInt(from, 16) + index))).join('');
        for (const font of Object.values(bundle).filter(({ fileName }) => /-latin-\d.*\.woff2$/.test(fileName))) {
            font.source = await subsetFont(Buffer.from(font.source), signs, {
                targetFormat: 'woff2', keepFeatures: FEATURES,
            });
        }
    },
});

/** Beside each built text its compressed twins, made once here, so that no request has to. */
const compressed = () => ({
    name: 'compressed',
    apply: 'build',
    closeBundle() {
        const folder = 'public/build/assets';
        for (const name of readdirSync(folder).filter((each) => /\.(js|css|svg)$/.test(each))) {
            const whole = readFileSync(join(folder, name));
            writeFileSync(join(folder, `${name}.gz`), gzipSync(whole, { level: 9 }));
            writeFileSync(
                join(folder, `${name}.br`),
                brotliCompressSync(whole, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
            );
        }
    },
});

const parts = readdirSync('resources/js/parts').map((each) => `resources/js/parts/${each}`);

export default defineConfig({
    plugins: [
        laravel({ input: ['resources/sass/app.scss', ...parts, 'resources/js/app.js'] }), lightFonts(), compressed(),
    ],
    css: {
        postcss: {
            plugins: [
                purgecss({
                    content: ['resources/views/**/*.blade.php', 'resources/js/**/*.js', 'core/Drawing/**/*.php'],
                    // Names put together in a template: d-best, is-open, e-stem, b-old.
                    safelist: { greedy: [/^(d|e|b|w|is|v|at)-/] },
                    variables: false,
                }),
            ],
        },
        preprocessorOptions: {
            // Bootstrap 5.3 still uses Sass features that newer Sass announces it will drop.
            scss: {
                quietDeps: true,
                silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
            },
        },
    },
});
