import purgecss from '@fullhuman/postcss-purgecss';
import laravel from 'laravel-vite-plugin';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { defineConfig } from 'vite';

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
    plugins: [laravel({ input: ['resources/sass/app.scss', ...parts, 'resources/js/app.js'] }), compressed()],
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
