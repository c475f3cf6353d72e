/** The command is wrong: an option that is not known, a file that is missing among the arguments. */
export class UsageProblem extends Error {}

/** The input is wrong, or nothing can be made of it. */
export class InputProblem extends Error {}
