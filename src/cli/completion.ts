import { dirname, resolve } from 'node:path';
import { GARDEN_TABLES } from '../contract/tables/garden-tables.ts';
import { MATERIAL_LIBRARY } from '../core/ground/index.ts';
import { BURN_METHODS, CHAR_TEMPERATURES } from '../records/vocabulary.ts';
import { COMMAND_HELP } from './help.ts';

/** What may follow an option that takes a word of a list. */
const CHOICES: Readonly<Record<string, readonly string[]>> = {
  '--method': BURN_METHODS,
  '--temperature': CHAR_TEMPERATURES,
  '--table': GARDEN_TABLES.map(({ id }) => id),
};

const optionsIn = (help: string): string[] => [...new Set(help.match(/--[a-z]+/g)), '--help'];

const caseOf = (name: string, words: readonly string[]): string =>
  `      ${name}) words="${words.join(' ')}" ;;`;

/** A script for bash and zsh that makes `vine` a command and completes its words; file names where none of ours fits. */
export function completion(): string {
  const project = dirname(resolve(process.env['npm_package_json'] ?? 'package.json'));
  const commands = Object.keys(COMMAND_HELP);
  return `# Vine Ledger: put this into a file and read it from ~/.bashrc or ~/.zshrc with "source".
vine() { npm --prefix '${project.replaceAll("'", String.raw`'\''`)}' run -s vine -- "$@"; }
[ -n "$ZSH_VERSION" ] && { autoload -U +X compinit && compinit; autoload -U +X bashcompinit && bashcompinit; }
_vine() {
  local word="\${COMP_WORDS[COMP_CWORD]}" before="\${COMP_WORDS[COMP_CWORD-1]}" words=""
  if [ "$COMP_CWORD" -eq 1 ]; then
    words="${[...commands, 'help'].join(' ')}"
  else
    case "$before" in
${Object.entries(CHOICES)
  .map(([option, words]) => caseOf(option, words))
  .join('\n')}
    esac
    [ -z "$words" ] && [ "\${COMP_WORDS[1]}" = mix ] && words="${MATERIAL_LIBRARY.map(({ id }) => `${id}=`).join(' ')}"
    [ "\${COMP_WORDS[1]}" = help ] && words="${commands.join(' ')}"
    case "$word" in -*) case "\${COMP_WORDS[1]}" in
${Object.entries(COMMAND_HELP)
  .map(([command, help]) => caseOf(command, optionsIn(help)))
  .join('\n')}
    esac ;; esac
  fi
  if [ -n "$words" ]; then COMPREPLY=($(compgen -W "$words" -- "$word")); else COMPREPLY=($(compgen -f -- "$word")); fi
}
complete -F _vine vine
`;
}
