export const COMMAND_HELP: Readonly<Record<string, string>> = {
  simulate: `simulate FILE [--csv]                                a scenario, one square meter, day by day
simulate GARDEN --bed NAME [--until DATE] [--csv]    a bed of a garden file, from its first entry on

  JSON: piles, doses, final state, a state a week, the ledger and its largest relative error.
  --csv: one row a week.`,
  mix: `mix MATERIAL=AMOUNTUNIT ... [--water LITERS] [--garden GARDEN] [--csv]

  Mass, volume, moisture and carbon to nitrogen of a mix.
  For example: mix chips_branch=3barrow85L grass_clippings=1barrow85L --water 20`,
  char: `char --char KG [--method METHOD --wood KG] [--temperature low|medium|high] [--carbon SHARE] [--csv]
char --area M2 [--clay PERCENT] [--csv]

  How much of a char is left after a century, whether the yield of a burn is usual, how much char a bed takes. Masses are dry.`,
  doses: `doses GARDEN --bed NAME [--today DATE] [--csv]       what is locked up, and what to feed when
doses SCENARIO [--csv]                               the doses a scenario asks for with its "supplement"`,
  plan: `plan GARDEN --bed NAME [--today DATE] [--csv]

  All that is to be said and done about a bed for fifteen months: state, lock-up, doses, what speaks against planned crops.
  --csv: the doses.`,
  years: `years GARDEN --bed NAME [--years N] [--habit NAME] [--today DATE] [--csv]

  Humus, char, fresh matter, nitrogen and minerals of a bed from today on, a row a year: as planned, or under a habit of
  the garden or a built-in one, such as "Compost yearly" or nothing.`,
  ways: `ways GARDEN --bed NAME --pile NAME [--liters N] [--today DATE] [--csv]
ways GARDEN --bed NAME --material ID [--liters N] [--today DATE] [--csv]

  All sensible ways of using a pile, or a load that arrives today, for a bed: their days and amounts, what they come to, the best first
  when all that may matter matters alike. Without --bed all beds are compared, without --pile all
  piles; without --liters it is as much as does well there.
  What if: --from DATE nothing before that day, --dug CM deep, --thick CM at most, --with MATERIAL --with-liters N in the heap.`,
  validate: `validate FILE [--today DATE]

  Checks a garden file or a scenario against its format and the model, and lists everything that is wrong.`,
  convert: `convert GARDEN                                       the same garden as the newest version of the file
convert GARDEN --table NAME                          one table of it as CSV
convert TABLE.csv [--table NAME] [--garden GARDEN]   another program's table in our columns, units and dates`,
  completion: `completion > FILE

  A script for bash and zsh: with it, vine is a command in any folder, and the tabulator key completes its words.`,
};

export const HELP = `Usage: npm run -s vine -- COMMAND ...

${Object.values(COMMAND_HELP).join('\n\n')}

A dash instead of a file name reads standard input. --today is today by the clock unless it is given.
The exit code is 0 when all is well, 1 when a file was read and is not sound, 2 for anything else you can put right.
The same figures as on the screen: unrounded as JSON, with twelve digits as CSV. See docs/terminal.md.
`;

/** Help on one command, or on all of them. */
export const helpFor = (command: string | undefined): string => {
  const help = command === undefined ? undefined : COMMAND_HELP[command];
  return help === undefined ? HELP : `Usage: npm run -s vine -- ...\n\n${help}\n`;
};
