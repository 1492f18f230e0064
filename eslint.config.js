import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

const pages = ['account', 'prototype', 'shell', 'roof', 'skin', 'sheets', 'bench', 'history', 'fit', 'stand', 'finder'];
const features = [...pages, 'projects', 'building'];

export default tseslint.config(
    js.configs.recommended,
    tseslint.configs.strictTypeChecked,
    {
        languageOptions: { globals: globals.browser, parserOptions: { projectService: true } },
        plugins: { 'react-hooks': hooks },
        rules: {
            ...hooks.configs.recommended.rules,
            '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
            '@typescript-eslint/no-confusing-void-expression': 'off',
            '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
            'no-restricted-syntax': [
                'error',
                { selector: 'ExportDefaultDeclaration', message: 'Name what a file gives.' },
            ],
        },
    },
    // A stage knows the frame's context and what all share, never another stage.
    ...pages.map((name) => ({
        files: [`web/src/features/${name}/**`],
        rules: {
            'no-restricted-imports': [
                'error',
                {
                    patterns: features
                        .filter((other) => other !== name && other !== 'building')
                        .map((other) => ({
                            group: [`**/${other}/*`],
                            message: 'A stage does not import another stage.',
                        })),
                },
            ],
        },
    })),
    prettier,
);
