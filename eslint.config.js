import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
    { ignores: ['web/api/schema.ts', 'public', 'vendor', 'node_modules'] },
    ...tseslint.configs.recommendedTypeChecked,
    {
        files: ['web/**/*.{ts,tsx}'],
        languageOptions: { parserOptions: { projectService: true } },
        plugins: { 'react-hooks': hooks },
        rules: {
            'react-hooks/rules-of-hooks': 'error',
            'react-hooks/exhaustive-deps': 'error',
            '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
        },
    },
);
