import js from '@eslint/js';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Inside core each folder may use those before it, through their index.ts, and nothing else. */
const CORE = [
  ...[
    'units',
    'outline',
    'cutter',
    'linear',
    'material',
    'document',
    'learned',
    'clay',
    'colour',
    'picture',
    'mix',
    'sheet',
    'mica',
    'mosaic',
    'blend',
  ],
  ...['cane/outlines', 'cane/document', 'cane/drawing', 'cane/steps', 'cane/face', 'cane/plan', 'cane'],
  ...[
    'pattern/document',
    'pattern/body',
    'pattern/steps',
    'pattern/seen',
    'pattern/cut',
    'pattern/plan',
    'pattern/formed',
    'pattern',
  ],
  ...['stock', 'conditioning', 'oven', 'piece', 'batch', 'days', 'trouble', 'begin', 'formats'],
];

/** `*` stands for anything; everything else for itself. */
const pattern = (text) => text.replace(/[.+?^${}()|\\/]/g, '\\$&').replaceAll('*', '.*');
const forbid = (names, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ regex: `^(${names.map(pattern).join('|')})$`, message }] }],
});
const NODE = ['node:*', '@nestjs/*', 'drizzle-orm*', '@libsql/*'];
const SCREEN = ['react*', '@chakra-ui/*', 'zustand*'];

/** Rooms of a folder are reached through it from outside. */
const roomsIn = (folder) => CORE.filter((room) => room.startsWith(`${folder}/`));
const hasRooms = (folder) => roomsIn(folder).length > 0;
const ROOMS = ['#core/*/*'];

const coreRules = CORE.map((folder, at) => ({
  files: [hasRooms(folder) ? `core/src/${folder}/*.ts` : `core/src/${folder}/**/*.ts`],
  rules: forbid(
    [
      ...['../*', '#contract*', '#demo', ...NODE, ...SCREEN],
      ...(hasRooms(folder.split('/')[0]) ? [] : ROOMS),
      ...CORE.slice(at).map((later) => `#core/${later}`),
    ],
    `Core folders import one way, each through its index.ts: ${CORE.join(', ')}.`,
  ),
}));

/** Inside the station of canes each room may use those before it. */
const CANES = ['clay', 'faces', 'steps', 'words', 'editing', 'making'];
const WEB = [...NODE, ...ROOMS, '#demo', '*/server/*', '../../../../core/*', '../../../../contract/*'];
const caneRules = CANES.map((room, at) => ({
  files: [`web/src/stations/canes/${room}/**/*.{ts,tsx}`],
  rules: forbid(
    [...WEB, ...CANES.slice(at).map((later) => `../${later}/*`)],
    `Rooms of the canes import one way: ${CANES.join(', ')}; the web rests on contract and core, by their own names.`,
  ),
}));

/** So many lines a function may have. */
const LINES = 60;

/**
 * Tests: the same limit for what is tested; a \`describe\` is a table of cases and may be as long as it needs.
 */
const caseLength = {
  meta: { schema: [{ type: 'number' }] },
  create(context) {
    const { sourceCode } = context;
    const isDescribe = ({ parent }) =>
      parent.type === 'CallExpression' && /^(test\.)?describe\b/.test(sourceCode.getText(parent.callee));
    const codeLines = ({ loc }) =>
      sourceCode.lines.slice(loc.start.line - 1, loc.end.line).filter((line) => !/^\s*(\/\/|\*|\/\*|$)/.test(line))
        .length;
    const check = (node) => {
      const lines = codeLines(node);
      if (lines > context.options[0] && !isDescribe(node))
        context.report({ node, message: `This case has ${lines} lines. Maximum allowed is ${context.options[0]}.` });
    };
    return { ArrowFunctionExpression: check, FunctionExpression: check, FunctionDeclaration: check };
  },
};

/** Cases one after the other: an errand through the interface, a table of measurements, a list of attacks. */
const CASES = ['e2e/**/*.ts', '*/bench/**/*.ts', 'scripts/attack/**/*.mjs'];

export default tseslint.config(
  { ignores: ['dist/**', 'node_modules/**', 'test-results/**', '.demo/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    plugins: { 'import-x': importX },
    settings: {
      'import-x/resolver-next': [
        createTypeScriptImportResolver({
          noWarnOnMultipleProjects: true,
          project: ['tsconfig.json', 'web/tsconfig.json'],
        }),
      ],
    },
    rules: {
      'import-x/no-cycle': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'off',
      'max-lines': ['error', { max: 260, skipBlankLines: true, skipComments: true }],
      'max-len': ['error', { code: 120, ignorePattern: '^import .* from' }],
      'max-lines-per-function': ['error', { max: LINES, skipBlankLines: true, skipComments: true }],
      'no-nested-ternary': 'error',
    },
  },
  {
    // what runs at a maker's has its packages there: those that only build and test are not packed
    files: ['core/src/**', 'contract/src/**', 'demo/src/**', 'server/src/**'],
    rules: { 'import-x/no-extraneous-dependencies': ['error', { devDependencies: false, includeTypes: false }] },
  },
  {
    files: ['**/*.mjs', '**/*.config.js'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        Buffer: 'readonly',
        setTimeout: 'readonly',
        AbortSignal: 'readonly',
        URL: 'readonly',
        crypto: 'readonly',
        setImmediate: 'readonly',
        TextEncoder: 'readonly',
        TextDecoder: 'readonly',
        clearTimeout: 'readonly',
        document: 'readonly',
      },
    },
  },
  ...coreRules,
  {
    files: ['contract/src/**/*.ts'],
    rules: forbid(
      [...NODE, ...SCREEN, ...ROOMS, '#demo', '*/server/*', '*/web/*'],
      'The contract rests on core alone.',
    ),
  },
  {
    files: ['server/src/**/*.ts'],
    rules: forbid(
      [...SCREEN, ...ROOMS, '*/web/*', '../../../core/*', '../../../contract/*'],
      'The server rests on contract and core, by their own names.',
    ),
  },
  {
    files: ['demo/src/**/*.ts'],
    rules: forbid([...NODE.slice(1), ...SCREEN, '*/server/*', '*/web/*'], 'The scenario is data of the contract.'),
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      ...forbid(WEB, 'The web rests on contract and core, by their own names.'),
      'no-restricted-syntax': [
        'error',
        { selector: 'Literal[value=/^#([0-9a-f]{3}){1,2}$/i]', message: 'Greys come from theme/grey.ts.' },
      ],
    },
  },
  { files: ['web/src/theme/grey.ts'], rules: { 'no-restricted-syntax': 'off' } },
  ...caneRules,
  { files: ['**/*.test.{ts,tsx}', 'e2e/**/*.ts'], rules: { 'no-restricted-imports': 'off' } },
  {
    files: ['*/test/**/*.{ts,tsx}'],
    plugins: { house: { rules: { 'case-length': caseLength } } },
    rules: { 'max-lines': 'off', 'max-lines-per-function': 'off', 'house/case-length': ['error', LINES] },
  },
  {
    files: CASES,
    rules: {
      'max-lines': 'off',
      'max-lines-per-function': ['error', { max: 2 * LINES, skipBlankLines: true, skipComments: true }],
    },
  },
);
