import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import tseslint from 'typescript-eslint'

/** Arrows point one way: core ← contract ← server, web; demo and bench stand on core and contract. */
const floors = {
  core: ['standIns', 'contract', 'server', 'web', 'demo', 'cli', 'e2e', 'bench'],
  contract: ['standIns', 'server', 'web', 'demo', 'cli', 'e2e', 'bench'],
  server: ['standIns', 'web', 'demo', 'cli', 'e2e', 'bench'],
  web: ['standIns', 'server', 'demo', 'cli', 'e2e', 'bench'],
  demo: ['server', 'web', 'standIns', 'cli', 'e2e', 'bench'],
  standIns: ['server', 'web', 'demo', 'cli', 'e2e', 'bench'],
}

function patternsAbove(floor) {
  const patterns = floors[floor].flatMap((other) => [
    `@kobrin/${other}`,
    `@kobrin/${other}/*`,
    `**/../${other}/**`,
  ])
  return floor === 'core' ? [...patterns, 'node:*', 'fs', 'vue', 'fastify', 'drizzle-orm'] : patterns
}

function boundaries(folder, patterns) {
  return {
    files: [`${folder}/**/*.{ts,vue}`],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns }] },
  }
}

/** Inside core: what can be measured anywhere ← what was said ← what is to be ← what follows from the two. */
const coreFloors = ['basics', 'facts', 'plans', 'judging']
const aboveCoreFloors = ['bringIn', 'compute', 'stories', 'testing']

function coreBoundaries(floor, index) {
  const above = [...coreFloors.slice(index + 1), ...aboveCoreFloors].map((other) => `**/${other}/**`)
  return boundaries(`core/src/${floor}`, [...patternsAbove('core'), ...above])
}

export default tseslint.config(
  {
    ignores: ['**/dist/**', '**/node_modules/**', '.kobrin/**', 'server/migrations/**', '**/test-results/**'],
  },
  ...tseslint.configs.strictTypeChecked,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: {
      globals: { ...globals.node, ...globals.browser },
      parserOptions: {
        projectService: { allowDefaultProject: ['*.js'] },
        extraFileExtensions: ['.vue'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/require-await': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      // Whether every case of a switch answers is for the types to say.
      'vue/return-in-computed-property': 'off',
    },
  },
  {
    files: ['**/*.ts'],
    ignores: ['**/*.test.ts', 'e2e/**', '**/testing/**'],
    rules: { 'max-lines-per-function': ['error', { max: 70, skipComments: true, skipBlankLines: true }] },
  },
  {
    // What sets up a screen or a store is a list of small functions; it may be longer than any of them.
    files: ['web/src/**/use*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 120, skipComments: true, skipBlankLines: true }] },
  },
  {
    // To the linter an imported .vue file has no type.
    files: ['web/src/**/*.ts'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
    },
  },
  {
    // The interface is made of one set of parts; only the board is drawn by hand.
    files: ['web/src/**/*.vue'],
    ignores: [
      'web/src/walk/{EnclosureCell,ShelfPlank,BayHeader,RouteRail}.vue',
      'web/src/app/HoldButton.vue',
    ],
    rules: {
      'vue/no-restricted-html-elements': [
        'error',
        ...['button', 'input', 'select', 'textarea', 'dialog', 'details', 'datalist', 'progress', 'form'].map(
          (element) => ({ element, message: 'PrimeVue has one, grown in our preset.' }),
        ),
      ],
    },
  },
  // Every sentence comes from the catalogue: what stands in a template is a sign or a unit.
  {
    files: ['web/src/**/*.vue'],
    rules: {
      'vue/no-bare-strings-in-template': [
        'error',
        {
          allowlist: [
            ...[
              '(',
              ')',
              ',',
              '.',
              ';',
              ':',
              '/',
              '·',
              '×',
              '–',
              '…',
              '%',
              '?',
              '!',
              '[',
              ']',
              '+',
              '=',
              '÷',
              '−',
            ],
            ...['mm', 'h', 'l', 'g', 'kg', 'ml', '°C', 'cm²', '←↑↓→'],
            ...['Kobrin', 'Enter', 'f'],
          ],
          attributes: {
            '/.+/': [
              'title',
              'label',
              'header',
              'placeholder',
              'alt',
              'aria-label',
              'aria-placeholder',
              'choose-label',
            ],
          },
        },
      ],
    },
  },
  // Core is told the time and given its randomness.
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'Core is told the time.',
        },
        {
          selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
          message: 'Core is given its randomness.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Core is told the time.',
        },
      ],
    },
  },
  // What lies in a store of the browser was perhaps written by another page: it is read back in one place.
  {
    files: ['web/src/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts', 'web/src/kept/useStored.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ImportSpecifier[imported.name=/^use(Local|Session)?Storage$/]',
          message: 'useStored, which holds it against a shape.',
        },
        {
          selector:
            "CallExpression[callee.property.name='parse'] CallExpression[callee.property.name='getItem']",
          message: 'readStored, which holds it against a shape.',
        },
      ],
    },
  },
  ...Object.keys(floors).map((floor) => boundaries(floor, patternsAbove(floor))),
  ...coreFloors.map(coreBoundaries),
  { files: ['**/*.{js,mjs}'], ...tseslint.configs.disableTypeChecked },
  // vue-tsc checks the types of components. The linter would build its own types anew for every one of
  // them: two seconds each, three quarters of all its time.
  {
    ...tseslint.configs.disableTypeChecked,
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser, projectService: false, program: null } },
  },
  prettier,
)
