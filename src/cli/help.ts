const COMMAND_HELP: Readonly<Record<string, string>> = {
  simulate: `simulate FILE [--csv]                                a scenario, one square metre, day by day
simulate GARDEN --bed NAME [--until DATE] [--csv]    a bed of a garden file, from its first entry on

  JSON: piles, doses, final state, a state a week, the ledger and its largest relative error.
  --csv: one row a week.`,
  mix: `mix MATERIAL=AMOUNTUNIT ... [--water LITERS] [--garden GARDEN] [--csv]

  What a mix comes to: mass, volume, moisture, carbon to nitrogen.
  Such as: mix chips_branch=3barrow85L grass_clippings=1barrow85L --water 20`,
  char: `char --char KG [--method METHOD --wood KG] [--temperature low|medium|high] [--carbon SHARE] [--csv]
char --area M2 [--clay PERCENT] [--csv]

  What of a char lasts a century, whether a burn gave what such burns give, how much char a bed takes. Masses dry.`,
  doses: `doses GARDEN --bed NAME [--today DATE] [--csv]       what is locked up, and what to feed when
doses SCENARIO [--csv]                               the doses a scenario asks for with its "supplement"`,
  years: `years GARDEN --bed NAME [--years N] [--habit NAME] [--today DATE] [--csv]

  Humus, char, fresh matter and nitrogen of a bed from today on, a row a year.`,
  validate: `validate FILE [--today DATE]

  Checks a garden file or a scenario against its format and against the model; tells all that is wrong.`,
  convert: `convert GARDEN                                       the same garden as the newest version of the file
convert GARDEN --table NAME                          one table of it as CSV
convert TABLE.csv [--table NAME] [--garden GARDEN]   somebody else's table in our columns, units and dates`,
};

export const HELP = `Usage: npm run -s vine -- COMMAND ...

${Object.values(COMMAND_HELP).join('\n\n')}

A dash instead of a file name reads standard input. --today is today by the clock unless it is given.
It ends with 0 when all is well, 1 when a file was read and does not hold, 2 for anything else that can be put right.
The same figures as on the screen, unrounded. See docs/terminal.md.
`;

/** Help on one command, or on all of them. */
export const helpFor = (command: string | undefined): string => {
  const help = command === undefined ? undefined : COMMAND_HELP[command];
  return help === undefined ? HELP : `Usage: npm run -s vine -- ...\n\n${help}\n`;
};
