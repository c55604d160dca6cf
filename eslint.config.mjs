import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  {
    ignores: [
      '**/dist/',
      '.cache/',
      '.data/',
      'node_modules/',
      'packages/core/test/fixtures/',
      'packages/optimiser/test/fixtures/',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...ts.configs.recommendedTypeChecked],
    languageOptions: {
      parserOptions: {
        projectService: { allowDefaultProject: ['packages/web/vite.config.ts'] },
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      'no-restricted-globals': ['error', 'event', 'name'],
      eqeqeq: 'error',
    },
  },
  {
    files: ['**/*.test.ts', 'e2e/**/*.ts'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
    },
  },
  {
    files: ['packages/web/**/*.tsx', 'packages/web/**/*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // What a person reads goes through the catalogue.
    files: ['packages/web/src/**/*.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'JSXText[value=/[A-Za-z]{2}/]', message: 'Say it by t(…) of messages/t.ts.' },
        {
          selector:
            'JSXAttribute[name.name=/^(?:label|aria-label|title|placeholder|description|alt|legend)$/] > Literal[value=/[A-Za-z]{2}/]',
          message: 'Say it by t(…) of messages/t.ts.',
        },
        {
          selector:
            'JSXAttribute[name.name=/^(?:label|aria-label|title|placeholder|description|alt|legend)$/] TemplateLiteral > TemplateElement[value.raw=/[A-Za-z]{3}/]',
          message: 'Say it by t(…) of messages/t.ts, with what is filled in by name.',
        },
      ],
    },
  },
  {
    files: ['scripts/**/*.mjs', '**/*.cjs', '*.mjs', 'packages/server/test/support/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        AbortController: 'readonly',
        AbortSignal: 'readonly',
        Buffer: 'readonly',
        // What runs in the page that a script looks at.
        window: 'readonly',
        document: 'readonly',
        requestAnimationFrame: 'readonly',
        PerformanceObserver: 'readonly',
        MessageChannel: 'readonly',
        URL: 'readonly',
        module: 'writable',
        fetch: 'readonly',
        performance: 'readonly',
      },
    },
  },
);
