/** States of harm: they count where something is said to be in them. */
export const HARMED =
  "broken|cracked|bent|damaged|smashed|torn|ripped|snapped|shattered|chipped|dented|stained|faulty|defective|jammed|corrupt(?:ed)?|rotten|mould(?:y)?|moldy|rusted|rusty|warped|scratched|burst|flooded|soaked|rained on|stolen|vandalised|vandalized|ruined|spoil(?:ed|t)|contaminated|injured|unsafe|dangerous|burnt|burned (?:down|out|through)|blown|fused|frayed|clogged|blocked|frozen|unreadable|illegible|blurred|blurry|unusable|useless|worthless|void|dead|missing|crashed|leaking|dripping";
