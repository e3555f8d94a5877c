import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["build/", "node_modules/", ".react-router/", "var/", "test-results/", "public/"] },
  ...tseslint.configs.strict,
  {
    files: ["**/*.{ts,tsx}"],
    plugins: { "react-hooks": reactHooks },
    rules: {
      "react-hooks/rules-of-hooks": "error",
      "react-hooks/exhaustive-deps": "error",
      // Index access is checked by noUncheckedIndexedAccess; `!` marks the places proved by the loop above it.
      "@typescript-eslint/no-non-null-assertion": "off",
      // A field taken out of an object to leave the rest is meant to be left out.
      "@typescript-eslint/no-unused-vars": ["error", { ignoreRestSiblings: true }],
      eqeqeq: "error",
      "no-console": "off",
    },
  },
);
