export const INGREDIENTS =
  /^ (?:ingredients?|(?:you(?:'ll| will)? ?need)|what you(?:'ll)? need|what goes in(?: it)?|needed|needs?|you need|shopping|what is in it|for the (?:drink|syrup|base|tea)) ?(?:\([^)]*\) )?:? ?$/;

export const METHOD =
  /^ (?:methods?|directions?|instructions?|steps|preparation|what to do|how to make(?: it)?|to make|procedure|the way|making it|how) ?:? ?$/;

export const INGREDIENTS_HEAD = /^ (?:ingredients?|you(?:'ll| will)? ?need|needs?|what you need) : /;

export const METHOD_HEAD = /^ (?:methods?|directions?|instructions?|preparation|procedure|how) : /;

/** "Prep: 10 min | Cook: 35 min": times of the whole, and for how many it is. */
export const META =
  /^ (?:(?:prep(?:aration)?|cook(?:ing)?|total|active|ready|time|servings?|serves|yields?|makes|batch(?: size)?|difficulty|cuisine|course)(?: time| in)? ?[:|-] |prep(?: time)? \d+ [a-z]+ [/|,;-] cook(?: time)? \d)/;

export const PART_HEAD = /^ (?:for|the) (?:the )?[a-z]+(?: [a-z]+)? ?: ?$/;

export const NOTES_HEAD = /^ (?:notes?|tips?|keeps?|storage|conservation|serving) ?:? ?$/;

/** What was told already, told again by the clock or by what stands where. */
export const AGAIN_HEAD =
  /^ (?:the way of this drink|time ?table|schedule|at a glance|overview|in short|what happens when) ?:? ?$/;

/** "Take care: …": what is to be minded, and nothing to do. */
export const REMARK = /^ (?:take care|be careful|careful|caution|warning|safety) : /;

/** The words of a cook in a text that others wrote. */
export const OWN_WORDS = /^ (?:the )?cook (?:says|writes|notes) : /;

/** What a heading of a part names. */
export const PART_NAME = /^ (?:for|the) (?:the )?([a-z]+(?: [a-z]+){0,2}) :/;
/** "For the syrup: 600 g sugar, …": a part with its list in one row. */
export const PART_LIST = /^ (?:for|to) (?:the )?[a-z]+(?: [a-z]+){0,2} : /;

/** No heading has more words and signs than this. */
export const LONGEST_HEAD = 40;

/** "Dear one,", "Hello you two,": a greeting names no drink. */
export const GREETING =
  /^ (?:my )?(?:dear|hello|hi|hey|morning|good morning|to whom|ok|okay|so|right|first|to start|to begin|start with|all right|alright) /;
