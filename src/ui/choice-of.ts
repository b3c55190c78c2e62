/** What was chosen, if it is one of the choices. */
export function choiceOf<Choice extends string>(choices: readonly Choice[], value: string): Choice | undefined {
  return choices.find((choice) => choice === value);
}
