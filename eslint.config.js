import js from '@eslint/js';
import globals from 'globals';

export default [
    { ignores: ['public/**', 'vendor/**', 'node_modules/**', 'storage/**'] },
    js.configs.recommended,
    {
        files: ['resources/js/**/*.js'],
        languageOptions: { globals: { ...globals.browser, ...globals.serviceworker } },
        rules: { eqeqeq: 'error', 'no-var': 'error', 'prefer-const': 'error' },
    },
    {
        files: ['tests/**/*.mjs', 'resources/words/*.mjs', '*.config.mjs', '*.config.js'],
        languageOptions: { globals: { ...globals.node, ...globals.browser } },
        // Fixtures that need no other are written with an empty pattern: the runner asks for one.
        rules: { eqeqeq: 'error', 'no-var': 'error', 'prefer-const': 'error', 'no-empty-pattern': 'off' },
    },
];
