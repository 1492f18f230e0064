import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

const features = readdirSync('web/src/features');

const daily = ['react-hooks/rules-of-hooks', 'react-hooks/exhaustive-deps'];
/** Rules that take most of the time, those which compile each component among them: `bin/test deep` asks them. */
const slow = Object.fromEntries(
    [...Object.keys(hooks.configs.recommended.rules), '@typescript-eslint/no-deprecated']
        .filter((rule) => !daily.includes(rule))
        .map((rule) => [rule, 'off']),
);

/** What may not be imported into a folder, and why. */
const fence = (files, groups, message) => ({
    files: [files],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ group: groups, message }] }] },
});

const syntax = [
    { selector: 'ExportDefaultDeclaration', message: 'Name what a file gives.' },
    { selector: 'Literal[value=/#[0-9a-f]{3,8}$/i]', message: 'Colours stand in the theme: var(--…).' },
    { selector: 'TemplateElement[value.raw=/#[0-9a-f]{6}/i]', message: 'Colours stand in the theme: var(--…).' },
];

export default tseslint.config(
    { ignores: ['web/src/api/types.ts'] },
    js.configs.recommended,
    tseslint.configs.strictTypeChecked,
    a11y.flatConfigs.recommended,
    {
        languageOptions: { globals: globals.browser, parserOptions: { projectService: true } },
        plugins: { 'react-hooks': hooks },
        rules: {
            ...hooks.configs.recommended.rules,
            ...(process.env.CHARTULA_DEEP === '1' ? {} : slow),
            '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
            '@typescript-eslint/no-confusing-void-expression': 'off',
            '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
            'no-restricted-syntax': ['error', ...syntax],
            'max-lines': ['error', { max: 320, skipBlankLines: true, skipComments: true }],
            'max-lines-per-function': ['error', { max: 110, skipBlankLines: true, skipComments: true }],
            'max-params': ['error', 4],
        },
    },
    {
        files: ['web/**/*.test.{ts,tsx}', 'web/src/testing/**'],
        rules: {
            'max-lines-per-function': 'off',
            'max-params': 'off',
            'no-restricted-syntax': ['error', syntax[0]],
        },
    },
    // A feature stands by itself; what several need lies in document, drawing, ui or api, which know no feature.
    ...features.map((name) =>
        fence(
            `web/src/features/${name}/**`,
            features.filter((other) => other !== name).map((other) => `**/${other}/*`),
            'A feature does not import another feature.',
        ),
    ),
    ...['api', 'document', 'drawing', 'ui'].map((room) =>
        fence(`web/src/${room}/**`, ['**/features/**'], 'What all share knows no feature.'),
    ),
    fence(
        'web/src/api/**',
        ['**/features/**', '**/ui/**', '**/drawing/**', '**/document/**'],
        'The way to the server knows no screen.',
    ),
    prettier,
);
