/** What was planned or agreed falls through, by others or by oneself: "they turned us down", "I can't make Tuesday", "you charged us twice". Turns as `phrases` takes them. */
export const FALLS_THROUGH = `
  turn(?:ed|ing|s) (?:us|me|it|this|that|them|him|her|(?:the|our|my|your|their) \\p{L}+) down
  (?:council|bank|board|office|authority|school|landlord|client|customer|insurers?|insurance|publisher|ministry|city|town|they)(?: has| have)? (?:said|say|says|told us) no
  (?:is|are|was|were|has been|have been)(?: \\p{L}+)? (?:terminated|called off|used up|overwritten|erased|misspelt|misplaced|debited|disallowed|impounded)
  (?:have|has|had|'ve) (?:stopped|ended|terminated|frozen|suspended|blocked|dropped) (?:the|our|all|my) (?:project|contract|account|work|order|payments?|line|card|tour|series)
  (?:i|we)(?: really| just| simply| sadly| unfortunately| probably)? (?:can't|cannot|can not|couldn't|won't be able to|will not be able to|am not able to|are not able to|aren't able to|'m not able to) (?:be (?:there|at|in|with you)|come|make (?:it|the|mon|tues|wednes|thurs|fri)\\p{L}*|attend|take part|keep (?:the|our|my|to)|pay (?:the|our|it|them|that)|afford|promise|do (?:it|that|this|all|the|more)|meet (?:the|that))
  (?:i|we) (?:have to|must|need to|'ve got to|had to) (?:cancel|postpone|pull out|withdraw|call (?:it|the|our|this|that|everything)(?: \\p{L}+)? off|call off)
  (?:did not|didn't) (?:get|win) the (?:job|contract|grant|order|loan|permit|licence|award|tender|place)
  (?:charged|billed|invoiced|debited) (?:us|me|him|her|them|our \\p{L}+) (?:twice|double|wrongly|too much|again|for (?:\\p{L}+ ){1,6}(?:but|though|although|and) (?:we|i|you) (?:never|only|hired|ordered|had|got|took))
  \\d[\\d.,]{0,12} (?:\\p{L}+ )?more than (?:you|we|was|were|last|the|planned|agreed|quoted|he|they|she) ?(?:quoted|agreed|planned|said|offered|asked|time|year|had|quote|estimate|offer)?
  (?:twice|three times|half) as (?:high|much|long|big|expensive|dear|heavy|many) as
  (?:booked|let|sold|promised|taken|given out|rented out|used) twice
  (?:given|promised|offered|have|got|booked) the same (?:room|date|number|slot|time|table|seat|seats|day|hall)
  (?:hall|room|date|slot|day|venue|place|berth|table|seat|pitch|court|house|flat)(?: \\p{L}+)? (?:is|are) already (?:taken|booked|gone|full|let)
  (?:deadline|closing date|date|offer|option|time limit)(?: has| have|'s)?(?: already| long| now)? (?:passed|expired|run out|lapsed|gone by)
  (?:missed|overshot) (?:the|that|this|our|a|another) (?:closing|filing|final|last|first|payment|copy|print) (?:date|deadline)
  (?:am|are|is|'re|'m|'s)(?: \\p{L}+)? behind with
  (?<!\\b(?:no|not) )later than (?:he|she|they|you|we|it|agreed|planned|promised|expected)\\b
  (?:will|'ll) be (?:january|february|march|april|may|june|july|august|september|october|november|december|spring|summer|autumn|winter|easter|christmas|weeks|months|after \\p{L}+) before
  (?:nobody|no one|no-one)(?: has| had|'s)? (?:came|come|turned up|showed up|opened|answered|checked|locked|signed|ordered|booked|cleaned|fed|watered|paid|applied|picked|collected|met (?:us|me|them))
  (?:goes|went|go) (?:straight )?to (?:the )?(?:voicemail|answering machine|mailbox)
  (?:wants?|want|asked for|asking for|demands?|demanded|claims?|claimed) (?:(?:his|her|their|the|its|all his|all their) (?:money|deposit|fee) back|a refund|(?:damages|compensation))
  (?:shouted|shouting|yelled|screamed|swore|swearing) at (?:me|us|him|her|them|my|our|the)
  (?:written|gone|been|complained|turned) to the (?:paper|papers|press|ombudsman|police|court|tribunal|radio)
  losing (?:customers|clients|members|guests|orders|staff|readers|pupils|patients|trust|our|time|days)
  (?:feedback|results?|reviews?|response|figures|numbers|report|turnout|echo) (?:was|were|is|are) (?:very |rather |quite |really |mostly )?(?:bad|poor|negative|disappointing|devastating|worse)
  (?:costs?|prices?|expenses|time)(?: \\p{L}+)? (?:is|are) running away
  made a (?:mess|hash|pig's ear|nonsense) of
  (?:overlooked|overwrote|deleted|erased|misread|misfiled|mislaid|mixed up|muddled up|double-booked) (?:the|your|our|my|two|a|an|her|his|their|page|both|it\\b|them\\b)
  (?:still )?(?:owes?|owing) (?:us|me) (?:for|money|the|two|three|four|some|\\d)
`;
