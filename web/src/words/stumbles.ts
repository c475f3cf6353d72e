/** Words that a cook who has never seen this would stumble over, by their stems: no screen says one of them. */
export const STUMBLES =
  /\b(calyx\w*|calyces|liquors?|rehears\w*|tongues?|citric|titrat\w*|solids?|legs?|kin|begun|outlive\w*|folded|scribe\w*|markers?|vessels?)\b|of your hands|of hands|the model|this tool|the tool|to the brim|wants a look|looks after itself|\bfills of\b|second draw|drawn from the|all that is dissolved|\bMind:|the old or weakened|say so first|\bheard\b/i;
