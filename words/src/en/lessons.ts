/** Texts of talking points choose by the age they are read at: `a5` for 5–7, `a8` for 8–10, `a11` for 11–13, else 14+. */
export default {
  talkShrank:
    '{level, select, a5 {Pot {pot} got smaller: from {from} to {to}. How can that be?} a8 {The plant in pot {pot} was {from} last time and is {to} now. How could a plant get shorter?} a11 {Pot {pot} went from {from} down to {to}. Is that the plant or the measuring? How could we tell?} other {Pot {pot} fell from {from} to {to}, which is more than the ruler’s step explains. Which sources of error could do that, and what evidence would separate them from a real loss?}}',
  talkShrankHint:
    'A good answer knows two kinds of reasons: the plant (bent, wilted, bitten, the tip broke) and the reading (zero not on the soil, another plant read, soil added). It says what to look at to tell them apart.',
  talkStoodStill:
    '{level, select, a5 {{n, plural, one {One plant} other {# plants}} did not grow since last time. What could {n, plural, one {it} other {they}} need?} a8 {{pots} did not grow since last time, but {grew, plural, one {another one} other {# others}} did. What is different there?} a11 {{pots} read the same as last time while {grew, plural, one {one other} other {# others}} grew. List what could hold a plant back, and how you would check each.} other {{pots} showed no change since the last reading while {grew, plural, one {one other} other {# others}} grew. Is this a pause in growth or the limit of what we can measure?}}',
  talkStoodStillHint:
    'A good answer asks how long the pause is: one reading without change can be the ruler, several cannot. It looks at water, light, and whether the plant is putting out leaves instead of height.',
  talkSlowed:
    '{level, select, a5 {The plants grew a lot, and now they grow slower. Why?} a8 {Last week the plants grew about {now} a day, the week before {before} a day. Why do plants slow down?} a11 {Growth fell from about {before} to {now} a day. What do plants do when they stop getting taller?} other {Mean growth over {n, plural, one {one plant} other {# plants}} fell from {before} to {now} a day. Which shape of curve would you expect from here, and why?}}',
  talkSlowedHint:
    'A good answer sees that height is one kind of growth: leaves, roots and buds take over. It also thinks of the pot becoming small and of colder days.',
  talkSpedUp:
    '{level, select, a5 {Now the plants grow faster than before. What helps them?} a8 {Last week the plants grew about {now} a day, the week before only {before} a day. What could have changed?} a11 {Growth rose from about {before} to {now} a day. What does a plant have now that it did not have two weeks ago?} other {Mean growth over {n, plural, one {one plant} other {# plants}} rose from {before} to {now} a day. Is this what early growth should look like, or did conditions change?}}',
  talkSpedUpHint:
    'A good answer connects leaves with growth: more leaves make more food, so growth speeds up before it slows. It checks whether light or warmth changed too.',
  talkLateCaughtUp:
    '{level, select, a5 {Pot {pot} was late. Now look how tall it is! Does being first matter?} a8 {Pot {pot} came up {late, plural, one {# day} other {# days}} later than most, and has caught up. Is the first plant always the tallest?} a11 {Pot {pot} emerged {late, plural, one {# day} other {# days}} late and now stands at or above the middle of the class. What does that say about judging plants on their first days?} other {Pot {pot} emerged {late, plural, one {# day} other {# days}} after the median and has reached at least median height. How far would you trust the day of emergence as a sign of later height?}}',
  talkLateCaughtUpHint:
    'A good answer says that one plant does not make a rule, and proposes to compare the day up with the height of all pots.',
  talkEarlyFellBehind:
    '{level, select, a5 {Pot {pot} was first. It is not the tallest now. What happened?} a8 {Pot {pot} came up before all others, but most are taller now. Why could that be?} a11 {Pot {pot} emerged first and is now shorter than the middle plant. What could have changed its course?} other {Pot {pot} emerged first but stands below the median now. What would you need to know before calling this anything but chance?}}',
  talkEarlyFellBehindHint:
    'A good answer thinks of plant-to-plant differences first, then of its place, its water and what was done to it, and does not make a rule of one pot.',
  talkFarFromRest:
    '{level, select, a5 {Pot {pot} is not like the others. What could be the reason?} a8 {With {group}, the plants are from {low} to {high}. Only pot {pot} is {value}. Should we count it?} a11 {Pot {pot} at {value} lies far from the other {group} plants ({low} to {high}). When may a value be left out, and who has to know?} other {Pot {pot} at {value} lies beyond 1.5 quartile ranges of the {group} pots ({low} to {high} for the rest). On which grounds could it be set aside, and what would the result be with and without it?}}',
  talkFarFromRestHint:
    'A good answer asks for a reason found at the pot, not in the result: a value is not left out because it spoils the answer. If it is, both answers are told.',
  talkTieTallest:
    '{level, select, a5 {{pots} are the tallest together. Are they the same in every way?} a8 {{pots} are the tallest, each {value}. How would you find out which one is really taller?} a11 {{pots} share the top at {value}. What would a finer ruler change, and what would it not?} other {{pots} tie at {value} within the resolution of the ruler. How does resolution limit what can be ranked?}}',
  talkTieTallestHint:
    'A good answer sees that a tie is a tie at this ruler. Measuring again, with two readers, says more than finer marks.',
  talkSameHeightApart:
    '{level, select, a5 {Pots {pot} and {other} are just as tall. But they got different things! What does that tell us?} a8 {Pot {pot} ({group}) and pot {other} ({otherGroup}) are both {value}. Does that mean it makes no difference?} a11 {Pot {pot} ({group}) and pot {other} ({otherGroup}) both stand at {value}. Why do two equal plants not settle the question?} other {Pot {pot} ({group}) and pot {other} ({otherGroup}) agree at {value}. Why is a single matched pair weak evidence either way?}}',
  talkSameHeightApartHint:
    'A good answer says that plants of one kind differ too, so a question about a treatment is answered by all of its pots.',
  talkMarkPassed:
    '{level, select, a5 {{passed} of {pots} plants are above our mark! What did they have that helped?} a8 {{passed} of {pots} plants have passed {mark}. Will the others get there too?} a11 {{passed} of {pots} plants have passed {mark}. What do they have in common, and is that a reason or a coincidence?} other {{passed} of {pots} plants exceed {mark}. What would you compare to find out why?}}',
  talkMarkPassedHint:
    'A good answer looks for what those pots share and whether pots that did not pass share it too.',
  talkMarkNotPassed:
    '{level, select, a5 {The tallest plant is {tallest}. Our mark is {mark}. How many more days, do you think?} a8 {The tallest plant is {tallest}, and the mark is {mark}. How could we guess when the first one will pass it?} a11 {The tallest plant stands at {tallest} of {mark}. Use its last week to say when it could pass. How sure are you?} other {The tallest plant stands at {tallest} of {mark}. Extrapolate from the last week, and say what makes the estimate unsafe.}}',
  talkMarkNotPassedHint:
    'A good answer uses growth a day, and says that growth does not go on the same for ever.',
  talkNoneUp:
    '{level, select, a5 {We cannot see a plant yet. What is the seed doing down there?} a8 {It is day {age}, and nothing is up in {looked, plural, one {# pot} other {# pots}}. What goes on under the soil that we cannot see?} a11 {Day {age}, {looked, plural, one {# pot} other {# pots}} and nothing up yet. What happens in a seed before anything shows, and how could we find out?} other {Day {age}: no emergence in {looked, plural, one {# pot} other {# pots}}. Which would you check first: time, temperature, depth, water, or the seed itself, and how?}}',
  talkNoneUpHint:
    'A good answer knows that the root comes first, and that “nothing up” is a reading. It proposes a seed between wet paper to look at beside the pots.',
  talkUpTogether:
    '{level, select, a5 {All our plants came up together! How did they know?} a8 {All {pots} pots came up within {within, plural, one {one day} other {# days}}. Why so close together?} a11 {All {pots} pots emerged by day {age}, within {within, plural, one {one day} other {# days}}. What was the same for all of them?} other {All {pots} pots emerged within {within, plural, one {one day} other {# days}} of looking. What does that say about the seed lot and about the conditions?}}',
  talkUpTogetherHint:
    'A good answer names what was the same: one packet, one depth, one warmth, one watering. It notices that nobody looked at night.',
  talkUpSpread:
    '{level, select, a5 {The first plant was up on day {first}, the last on day {last}. Why did some wait?} a8 {The first pot was up on day {first}, the last on day {last}. Why do seeds of one packet not start together?} a11 {Emergence went from day {first} to day {last}. What good could it do a wild plant that its seeds do not all start at once?} other {Emergence was spread from day {first} to day {last} over {pots, plural, one {# pot} other {# pots}}. Which part could be the seed, and which the conditions?}}',
  talkUpSpreadHint:
    'A good answer thinks of seeds that differ, of depth, and of places that are warmer or wetter. It can see that spread start is an insurance.',
  talkNeverUp:
    '{level, select, a5 {{n, plural, one {One pot is} other {# pots are}} still empty. Shall we look?} a8 {{pots} {n, plural, one {is} other {are}} still not up, but {up, plural, one {another came} other {# others came}} up. What could be wrong, and how can we find out?} a11 {{pots} {n, plural, one {has} other {have}} not emerged while {up, plural, one {one other did} other {# others did}}. Put the possible reasons in order, the likeliest first.} other {{pots} {n, plural, one {has} other {have}} not emerged while {up, plural, one {one other did} other {# others did}}. How should {n, plural, one {it} other {they}} count in the comparison: as zero, or not at all? What does each choice claim?}}',
  talkNeverUpHint:
    'A good answer lists depth, dryness, mould, being eaten and seeds that never would. It does not call the pot a failure: some seeds of every packet stay down.',
  talkDied:
    '{level, select, a5 {{n, plural, one {One plant} other {# plants}} died. That can happen, and we write it down. What did we see first?} a8 {{pots} died. When did we first see that something was wrong?} a11 {{pots} died. What do we lose from the comparison, and what must we say about it?} other {{pots} died. If death had to do with the treatment, what would leaving the dead out do to the means?}}',
  talkDiedHint:
    'A good answer treats a death as a result that is told with the others. Nobody’s pot “failed”. Older classes see that averages of the living can mislead.',
  talkRemoved:
    '{level, select, a5 {{n, plural, one {One plant was} other {# plants were}} taken out. Why did we do that?} a8 {{pots} {n, plural, one {was} other {were}} taken out. Why is it important to write that down?} a11 {{pots} {n, plural, one {was} other {were}} removed. Who decided, on what day, and could that have changed the result?} other {{pots} {n, plural, one {was} other {were}} removed. Was the decision independent of the treatment and of the height so far?}}',
  talkRemovedHint: 'A good answer says why it was done and that it is not the same as dead or not up.',
  talkPacketKept:
    '{level, select, a5 {We sowed {sown} seeds and {up} came up. Did the packet tell the truth?} a8 {The packet says {rate} of 100. We got {up} of {sown}. Did it keep its word?} a11 {{up} of {sown} came up, and the packet says {rate}%. Why can we not expect exactly that share?} other {{up} of {sown} emerged against a stated {rate}%: not told apart from it. How many seeds would it take to notice 10 points less?}}',
  talkPacketKeptHint:
    'A good answer knows that so few seeds cannot match the figure exactly, and that “in line with it” is not the same as “measured to be it”.',
  talkPacketDiffered:
    '{level, select, a5 {{up} of our {sown} seeds came up. The packet says {more, select, yes {fewer} other {more}} should. Why?} a8 {The packet says {rate} of 100 come up. We got {up} of {sown}. Why could that differ?} a11 {{up} of {sown} came up against {rate}% on the packet. Give reasons in the seed, and reasons in what we did.} other {{up} of {sown} emerged against a stated {rate}%, further off than chance usually brings. What differs between a laboratory test and our pots?}}',
  talkPacketDifferedHint:
    'A good answer knows that packets are tested on paper at an even warmth. Depth, cold, dry mix and old seed all make a difference.',
  talkLaterThanUsual:
    '{level, select, a5 {Our plants took longer than the packet says. Were they cold?} a8 {Most pots were up by day {age}. The crop usually takes up to {usual, plural, one {# day} other {# days}}. What slowed ours?} a11 {The middle pot emerged on day {age}, later than the usual {usual, plural, one {# day} other {# days}}. Which of our conditions would you measure to find out why?} other {Median emergence was day {age} against a usual maximum of {usual, plural, one {# day} other {# days}}. How would a thermal-time model explain it, and what would test that?}}',
  talkLaterThanUsualHint:
    'A good answer thinks of warmth first, then of depth, water and days without a look.',
  talkEarlierThanUsual:
    '{level, select, a5 {Our plants were faster than the packet says! What did they like here?} a8 {Most pots were up by day {age}. The crop usually takes at least {usual, plural, one {# day} other {# days}}. What helped ours?} a11 {The middle pot emerged on day {age}, before the usual {usual, plural, one {# day} other {# days}}. Which of our conditions could explain it?} other {Median emergence was day {age} against a usual minimum of {usual, plural, one {# day} other {# days}}. Which conditions would bring that about, and how would you test it?}}',
  talkEarlierThanUsualHint: 'A good answer thinks of a warm room, soaked seed and shallow sowing.',
  talkOverlap:
    '{level, select, a5 {Pot {pot} ({group}) is taller than pot {other} ({otherGroup}). So is {otherGroup} always taller?} a8 {Pot {pot} ({group}) is taller than pot {other} ({otherGroup}), though {otherGroup} is taller on average. How can both be true?} a11 {Pot {pot} ({group}) beats pot {other} ({otherGroup}), against the averages. What does an average say about a single plant?} other {The ranges overlap: pot {pot} ({group}) exceeds pot {other} ({otherGroup}). What can still be said about the treatments, and what not about a plant?}}',
  talkOverlapHint:
    'A good answer separates the average of a treatment from a single plant, and asks how often luck alone would make such a difference.',
  talkApart:
    '{level, select, a5 {Every plant we measured with {high} is taller than every one with {low}. Could that be luck?} a8 {Every plant that we measured with {high} is taller than every one with {low}. How sure does that make you?} a11 {No overlap: each measured {high} plant is taller than each measured {low} plant. What else differed between them besides what we changed?} other {The measured heights do not overlap ({high} above {low}). Which alternative explanations survive that, given the design?}}',
  talkApartHint:
    'A good answer looks for what else was different: place, watering, who measured. The more was the same, the more the difference says.',
  talkFewPots:
    '{level, select, a5 {With {group} we could measure only {n, plural, one {one plant} other {# plants}}. Is that enough to know?} a8 {Only {n, plural, one {one plant} other {# plants}} with {group} could be measured. Why would more be better?} a11 {The average of {group} rests on {n, plural, one {one plant} other {# plants}}. What could one unusual plant do to it?} other {{group} has n = {n}. What happens to the interval, and what would two more pots buy?}}',
  talkFewPotsHint:
    'A good answer sees that one odd plant moves the average of two a long way, and the average of ten only a little.',
  talkOnePot:
    '{level, select, a5 {We have one pot. Are all plants like ours?} a8 {We have one pot, number {pot}. What can one plant tell us, and what not?} a11 {Everything here rests on pot {pot}. What can be described, and what cannot be concluded?} other {There is one unit (pot {pot}). Which questions does a series on one unit answer, and which need replication?}}',
  talkOnePotHint: 'A good answer says: one plant can be described day by day, and compared with nothing.',
  talkSpreadDiffers:
    '{level, select, a5 {The plants with {wide} are very mixed. The plants with {narrow} are much alike. Why?} a8 {Plants with {wide} differ from each other a lot, plants with {narrow} only a little. What could mix them up?} a11 {{wide} plants spread more than twice as far as {narrow} plants. What could make a treatment act unevenly?} other {The range of {wide} is more than twice that of {narrow}. Is spread itself an effect here, or is it too few pots to say?}}',
  talkSpreadDiffersHint:
    'A good answer thinks of uneven doses and places. It also sees that with few pots a range is a shaky figure.',
  talkMiddleMost:
    '{level, select, a5 {Not the most and not the least: all together, the plants with {group} are the tallest. Is more always better?} a8 {The tallest plants on average got {group}, the amount in the middle. Is more always better?} a11 {The highest average is at {group}, between the extremes. Sketch the curve: where would you try next?} other {The mean peaks at {group}, inside the range. With so few amounts, what could the curve look like, and which amounts would settle it?}}',
  talkMiddleMostHint:
    'A good answer knows that too much of a good thing harms, and that an average in the middle can also be luck: see how sure the answer is.',
  talkControlMost:
    '{level, select, a5 {All together, the plants with {group} are the tallest. Did our change help?} a8 {The plants with {group}, which we only compare with, are the tallest on average. What did our change do?} a11 {{group}, our control, has the highest average. Was the idea wrong, was the amount wrong, or could it be luck?} other {The control ({group}) has the highest mean. Which of these fit: harm, an effect too small to see, too little power, a confounder?}}',
  talkControlMostHint:
    'A good answer is glad of a result that was not expected, and looks at how sure it is before it explains it.',
  talkSurvivorsOnly:
    '{level, select, a5 {With {group}, {left} of {of} plants are still there. What about the others?} a8 {With {group}, only {left} of {of} plants are alive. Is it fair to compare only those?} a11 {Only {left} of {of} {group} plants live. If the weak ones died, what happens to the average?} other {{left} of {of} {group} pots survive. How does survivorship bias act on the height comparison, and which outcome should lead instead?}}',
  talkSurvivorsOnlyHint: 'A good answer sees that averages of the living hide the dead, and reports both.',
  talkNearerTheLight:
    '{level, select, a5 {Plants near the window are {more, select, yes {taller} other {shorter}}. Why?} a8 {Pots nearest the bright side have {more, select, yes {taller} other {shorter}} plants than those farthest from it. Why could that be?} a11 {Allowing for treatments, plants nearest the bright side are {more, select, yes {taller} other {shorter}}. How could that mix with what we wanted to know?} other {Within treatments, the row nearest the light differs from the farthest by more than one SD ({more, select, yes {taller} other {shorter}} near it). How do blocks or turning deal with this?}}',
  talkNearerTheLightHint:
    'A good answer knows that plants in too little light stretch and those in more light are sturdier, and proposes to turn or shuffle the pots.',
  talkAgesDiffer:
    '{level, select, a5 {Our plants are not all the same age. Who is the oldest?} a8 {The youngest plant is {youngest, plural, one {# day} other {# days}} old, the oldest {oldest, plural, one {# day} other {# days}}. Can we compare their heights?} a11 {Ages go from {youngest} to {oldest} days. What can a row of ages show that one plant over time also could?} other {Ages go from {youngest} to {oldest} days. Compare a cross-section of ages with following one plant: what does each assume?}}',
  talkAgesDifferHint:
    'A good answer sees that a row of ages shows growth only if the plants would have grown alike.',
  talkReadersDiffer:
    '{level, select, a5 {Two people measured pot {pot}: {first} and {second}. Who is right?} a8 {Two people read pot {pot} on {day}: {first} and {second}. How can both have read with care?} a11 {Pot {pot} was read as {first} and {second} on {day}. What should a rule for measuring say so that this happens less?} other {Pot {pot} was read as {first} and {second} on {day}. How large is our measuring error, and is it small against the differences we speak of?}}',
  talkReadersDifferHint:
    'A good answer blames nobody. It finds a rule: zero on the soil, straight stem, which tip counts, eyes level with it.',
  talkReadersAgree:
    '{level, select, a5 {Two people measured the same plants and said the same. Why is that good?} a8 {{pairs, plural, one {# pot was} other {# pots were}} read by two people, never more than {within} apart. What did they do right?} a11 {{pairs, plural, one {One pot} other {# pots}} read twice, at most {within} apart. Does agreeing mean being right?} other {{pairs, plural, one {One pot} other {# pots}} read twice, at most {within} apart: precision. What would show whether the readings are accurate too?}}',
  talkReadersAgreeHint:
    'A good answer sees that two people can be wrong alike, for instance with the same worn ruler.',
  talkDaysMissed:
    '{level, select, a5 {On some days nobody looked. What did the plants do then?} a8 {From {from} to {to} nobody read the pots ({days, plural, one {# class day} other {# class days}}). What could have happened that we did not see?} a11 {There are no readings for {days, plural, one {one class day} other {# class days}} ({from} to {to}). Which statements of ours depend on those days?} other {{days, plural, one {One class day} other {# class days}} without readings ({from} to {to}). May we interpolate, and for which question must we not?}}',
  talkDaysMissedHint:
    'A good answer leaves the gap in the chart and says what it hides: for example on which day a pot came up.',
  talkPotsNotRead:
    '{level, select, a5 {{n, plural, one {One pot was} other {# pots were}} not measured today. Does {n, plural, one {it} other {they}} count?} a8 {{pots} {n, plural, one {was} other {were}} not read on this day. May we use the reading of the day before?} a11 {{pots} {n, plural, one {is} other {are}} missing today. When does a missing reading change the answer?} other {{pots} {n, plural, one {is} other {are}} missing today. Missing at random, or for a reason that has to do with the plant?}}',
  talkPotsNotReadHint:
    'A good answer says that missing is not zero, and that an older reading would make a plant look shorter than it is.',
  talkRoundNumbers:
    '{level, select, a5 {Many of our plants stop just at a long line of the ruler. Did they, or did we round?} a8 {{round} of {readings} readings are whole numbers. Do plants like whole numbers, or do we?} a11 {{round} of {readings} readings are whole, though our ruler has finer marks. What happened, and what does it do to an average?} other {{round} of {readings} readings are whole units, far more than the scale explains: digit preference. What does rounding cost us?}}',
  talkRoundNumbersHint:
    'A good answer sees that it is the readers who round. Rounding makes small differences vanish or appear.',
  talkGuessOther:
    '{level, select, a5 {Most of us guessed {choice}. The plants say {group}. What did we find out?} a8 {{n} of us guessed {choice}, but the plants with {group} are the tallest on average. What made us think so?} a11 {Most guessed {choice}, the plants say {group}. Which idea about plants has to change?} other {The most frequent prediction was {choice}; the data favour {group}. Which assumption in the reasoning failed, or could the design explain it?}}',
  talkGuessOtherHint:
    'A good answer keeps to reasons. A guess that did not come true is where something is learned.',
  talkGuessCameTrue:
    '{level, select, a5 {Most of us guessed {choice}, and so it is! How did you know?} a8 {{n} of us guessed {choice}, and the plants agree. Did we know, or were we lucky?} a11 {Most guessed {choice}, and the plants agree. Was it for the right reason? How could we test the reason itself?} other {The most frequent prediction, {choice}, fits the data. Which other explanation predicts the same result?}}',
  talkGuessCameTrueHint: 'A good answer knows that a right guess can come from a wrong reason.',
  talkGuessSplit:
    '{level, select, a5 {We did not all guess the same. Why do you think what you think?} a8 {No guess got more than half of our {guesses} votes. What reasons did people have?} a11 {Our {guesses} guesses are split. Which observation would have changed your mind before we saw the plants?} other {The {guesses} predictions are split (largest share {most}). What does that say about how well the theory was known?}}',
  talkGuessSplitHint: 'A good answer gives reasons for more than one guess.',
  potsNamed: '{n, plural, one {Pot} other {Pots}} {numbers}',
  boardQuestion: '{level, select, a5 {What we want to find out} a8 {Our question} other {Our question}}',
  boardLineUp: '{level, select, a5 {All our plants} other {Line-up}}',
  boardTwoToWatch: '{level, select, a5 {The plants we watch} other {Two to watch}}',
  boardFirsts: '{level, select, a5 {Who was first?} other {Firsts}}',
  boardGuess: '{level, select, a5 {What do you think?} a8 {Guess, then see} other {Predict, then see}}',
  boardAnswer: '{level, select, a5 {What our plants say} other {The answer}}',
  boardLuck: '{level, select, a5 {Was it luck?} a8 {Is it luck?} other {Is it luck?}}',
  boardNotKnown: '{level, select, a5 {What we do not know} other {What we cannot say, and what next}}',
  notKnownShort: 'Not known',
  boardTalk: '{level, select, a5 {Let us talk} other {Talk about}}',
  boardPictures: 'Our pictures',
  boardOwnWords: 'Own words',
  orderHeight: 'height',
  orderAge: 'age',
  orderFirstUp: 'first up',
  orderTreatment: 'treatment',
  orderPlace: 'place on the sill',
  orderTeam: 'team',
  lineUpByHeight: 'Shortest to tallest, {when}',
  lineUpByAge: 'Youngest to oldest, {when}',
  lineUpByFirstUp: 'First up to last up, {when}',
  lineUpByTreatment: 'By treatment, {when}',
  lineUpByPlace: 'As they stand, {when}',
  lineUpByTeam: 'By team, {when}',
  onDay: 'day {age}',
  readOfPots: '{read} of {pots, plural, one {# pot} other {# pots}} read this day',
  ofThemCounts:
    '{notUp, plural, =0 {} one {, # not up yet} other {, # not up yet}}{dead, plural, =0 {} one {, # dead} other {, # dead}}{removed, plural, =0 {} one {, # removed} other {, # removed}}{notRead, plural, =0 {} one {, # not read} other {, # not read}}',
  plantNotSown: 'not sown yet',
  plantNotRead: 'not read',
  plantNotUp: 'not up yet',
  plantUp: 'up',
  plantDead: 'dead',
  plantRemoved: 'removed',
  plantReadOn: '{value}, read {on}',
  plantLabel: 'Pot {number}, {treatment}: {state}',
  plantLabelHidden: 'Pot {number}: {state}',
  storyUp: 'first seen up on day {age}{ifBefore, select, yes {, not yet on day {before}} other {}}',
  storyNotUp: 'not seen up so far',
  storyWeek: '{value} on day {age}',
  storyDead: 'found dead on day {age}',
  storyRemoved: 'taken out on day {age}',
  storyOf: 'Pot {number}: {parts}.',
  storySown: 'sown {on}',
  firstUpIs:
    '{n, plural, one {Pot {pots} was} other {Pots {pots} were}} found up first, on day {age} after sowing, of {among, plural, one {# pot} other {# pots}}.',
  tallestIs:
    '{n, plural, one {Pot {pots} has the tallest plant} other {Pots {pots} share the tallest plants}}: {value}, of {among, plural, one {# plant} other {# plants}} read.',
  shortestIs:
    '{n, plural, one {Pot {pots} has the shortest plant} other {Pots {pots} share the shortest plants}}: {value}.',
  grownMostIs:
    '{n, plural, one {Pot {pots} has} other {Pots {pots} have}} grown most since last time: {value}.',
  nearestMarkIs: '{n, plural, one {Pot {pots} is} other {Pots {pots} are}} nearest to {mark}: {value} away.',
  onlyOneRead: 'Pot {pots} is the only one that was read: {value}.',
  notUpAre: '{n, plural, one {Pot {pots} is} other {Pots {pots} are}} not up yet. What could be the reason?',
  reasonTimeToGo: 'There is still time: this crop takes up to {days, plural, one {# day} other {# days}}.',
  reasonSomeNeverDo: 'Not every seed comes up: with this crop about {rate} of 100 do.',
  pageForEachWeek: 'Page for each week',
  whichWeek: 'Which week',
  weekFrom: 'Week {number}, from {from}',
  howManyUpColour: 'How many are up? Colour a circle for each.',
  soManyUp:
    '{up, plural, =0 {None of the {pots} pots is up yet} one {# of {pots} pots is up} other {# of {pots} pots are up}}',
  tallestOfWeek: 'The tallest: {value}, {n, plural, one {pot} other {pots}} {pots}',
  weNoted: 'We noted: {reason}, {n, plural, one {pot} other {pots}} {pots}.',
  reasonNoWarmth: 'It may be too cold: {now} °C here, and this crop likes at least {wants} °C.',
  reasonTooDeep: 'Was it sown deeper than the others?',
  reasonWatering: 'Was it drier or wetter than the others?',
  reasonCoveredByMix: 'Is a crust, a stone or a lump of mix on top of it?',
  nothingReadYet: 'Nothing was read until this day.',
  putInOrderBy: 'Put in order by',
  plantsInARow: 'Plants in a row',
  showTreatments: 'Show treatments',
  hideTreatments: 'Hide treatments',
  treatments: 'Treatments',
  playTheDays: 'Play the days',
  stopPlaying: 'Stop',
  photoOfPot: 'Photo of pot {number}, {day}',
  curvesOf:
    '{variableName} of each pot over {days, plural, one {# day} other {# days}}, with the average of {treatments, plural, one {the treatment} other {# treatments}}',
  daysSinceSowing: 'days since sowing',
  changedLevels: '{name}: {levels}',
  whatWeChanged: 'What we changed',
  whatWeKeptTheSame: 'What we kept the same',
  whatWeMeasured: 'What we measured',
  variableOfPots:
    '{variable} in {pots, plural, one {# pot} other {# pots}}{ifCrop, select, yes { ({crop})} other {}}',
  whatWeGuessed: 'What we expected',
  choiceTimes: '{choice} ({guesses})',
  choosePotsToWatch: 'Choose one or two pots to watch, beside this board.',
  choosePictures: 'Choose pictures and sentences beside this board.',
  potNumber: 'Pot {number}',
  potAndDay: 'Pot {number}, {day}',
  date: 'Date',
  reading: 'Reading',
  change: 'Change',
  comparing: 'Comparing…',
  nothingReadOn: 'No pot was read on {day}.',
  showDay: 'Show {day}',
  howSure: 'How sure?',
  nothingToTalkAboutYet: 'Nothing yet: talking points come with the readings.',
  nextTime: 'Next time',
  startNextPlanWith: 'Start the next plan: {mend}',
  startNextPlan: 'Start the next plan',
  theSameAgain:
    'The design check found nothing to improve: do the same experiment again and see whether you get the same result.',
  noDifferenceWeCanSee: 'No difference that we can see',
  whichWillBeTallest: 'Which will be tallest on average?',
  votingIsOnTheProjector: 'The class votes once the lesson is shown: on tablets, or by hands that you count.',
  closeTheVote: 'Close the vote',
  openTheVoteAgain: 'Open the vote again',
  askTheTablets: 'Ask the tablets',
  backToTheVote: 'Back to the vote',
  letUsSee: 'Let us see',
  votes: 'Votes',
  votesNow: '{votes, plural, one {# vote} other {# votes}}',
  votesBefore: '{votes} before sowing',
  oneMoreHand: 'One hand more for {choice}',
  oneHandFewer: 'One hand fewer for {choice}',
  handsAreCounted: 'Hands are counted',
  countHands: 'Count hands',
  lessonRibbon: 'The lesson, {minutes, plural, one {# minute} other {# minutes}}',
  lessonRibbonHelp: 'Arrow keys go from board to board. With Alt they move the board.',
  minutesOf: '{minutes} min',
  boardHidden: '{name}, left out',
  boardMinutes: '{name}, {minutes}',
  thisBoard: 'This board',
  minutes: 'Minutes',
  leaveOut: 'Leave out',
  noteForMe: 'Note for me (never shown)',
  heading: 'Heading',
  words: 'Words',
  firstPot: 'First',
  secondPot: 'Second',
  none: 'none',
  journal: 'Journal',
  byWhom: 'By whom',
  ofWhichPot: 'Of which pot',
  allPots: 'all pots',
  onTheBoard: 'on the board and in the report',
  remove: 'Remove',
  hideEntry: 'Hide',
  showEntry: 'Show again',
  isHidden: 'hidden from the class',
  removeForGood: 'Remove this for good, with its picture?',
  seeTheJournal: 'See the whole journal',
  noPicturesYet: 'Nothing in the journal yet: students add photos, drawings and sentences on their tablets.',
  picturesToShow: 'Shown: {chosen} of at most {most}',
  whatYourDataAsk: 'What your data ask ({points})',
  ask: 'Ask',
  oneOfYourOwn: 'one of your own',
  boardShown: 'Board',
  removeBoard: 'Remove this board',
  readingLevel: 'Reading level',
  ages: 'ages {level}',
  undo: 'Undo',
  redo: 'Redo',
  beginTheLesson: 'Begin the lesson',
  goOnWithTheLesson: 'Go on with the lesson',
  aboutMinutes: 'About {minutes, plural, one {# minute} other {# minutes}}',
  followOnPhone: 'On your phone, signed in as you are here: notes, next board and time gone.',
  openTheRemote: 'Open the remote',
  lessonChangedElsewhere: 'This lesson was changed on another device.',
  keepWhatIsHere: 'Keep what is here',
  takeWhatIsThere: 'Take what is there',
  saveAgain: 'Save again',
  toTakeHome: 'To take home',
  potsPassedTheMark: '{passed, plural, one {# pot passed the mark} other {# pots passed the mark}}',
  noLessonIsGiven: 'No lesson is given just now.',
  noLessonIsGivenYet: 'No lesson is given just now. Begin it on the computer at the projector.',
  toTheLesson: 'To the lesson',
  showAgain: 'Show again',
  boardAt: '{at} of {boards}',
  back: 'Back',
  next: 'Next',
  blank: 'Blank',
  leaveTheProjector: 'Leave the projector',
  dayShown: 'Day shown',
  dayBefore: 'The day before {day}',
  dayAfter: 'The day after {day}',
  timeGone: '{minutes} min gone, planned up to here {planned} min',
  thenComes: 'Then comes: {name}',
  thisIsTheLastBoard: 'This is the last board.',
  endTheLesson: 'End the lesson',
  classReport: 'Class report',
  pageForEachTeam: 'A page for each team or child',
  certificates: 'Certificates',
  noteToFamilies: 'Note to families',
  wallChart: 'Wall chart',
  paperSize: 'Paper',
  usLetter: 'US Letter',
  blackAndWhite: 'Black and white',
  namesOfChildren: 'With names of children',
  namesAreOnThisPaper: 'Names of children are on this paper. Your school’s rules say who may have it.',
  print: 'Print',
  asOneFile: 'As one file',
  reportOf: '{crop}, {pots, plural, one {# pot} other {# pots}}, sown {sown}. As it was on {day}.',
  whatWeDid: 'What we did',
  whatWeSaw: 'What we saw',
  whatWeFound: 'What we found',
  whatWeCannotSay: 'What we cannot say, and what next',
  ourWords: 'Our words',
  inTheReport: 'in the report',
  potsInTheirPlaces: '{pots, plural, one {# pot} other {# pots}} in their places',
  methods: 'Methods',
  methodsText:
    '{pots, plural, one {# pot} other {# pots}} of {crop} in {treatments, plural, one {one treatment} other {# treatments}} stood in {containers, plural, one {one container} other {# containers}}. What was read is {variable}, to {step} {unit}; values of {day} are compared.',
  pair: 'Pair',
  difference: 'Difference',
  interval95: '95% interval',
  test: 'Test',
  minus: '{second} − {first}',
  nOfBoth: '{second} and {first}',
  fromToInterval: '{low} to {high}',
  aboutBy: '{about}, {observer}',
  whosePage: 'Whose page',
  allPages: 'all {pages, plural, one {# page} other {# pages}}',
  everybody: 'everybody',
  ourPots: 'Our pots',
  potsOfTeam: 'Pots of {team}',
  nameLine: 'Name:',
  youGuessed: 'You guessed: {choice}',
  certificatesFor: 'Certificates for',
  kindTimes: '{kind} ({times})',
  carefulReaders: 'More careful readers, as you saw',
  carefulInPractice: 'Careful reader ({count}): the newest five drawn rulers each read to the millimetre',
  madeOutTo: 'Made out to',
  forEachPot: 'Each pot',
  forEachTeam: 'Each team, with all of its pots',
  forEachStudent: 'Each student, with the pots of the team',
  carefulReader: 'Careful reader',
  readsARulerWithCare: 'reads a ruler with care: zero on the soil, straight, eyes level with the tip.',
  certificateOfPot: 'pot {number}, {kind}',
  noCertificateYet: 'No pot has done any of these so far.',
  markPassed: 'Mark passed',
  firstSprout: 'First sprout',
  fullRecord: 'Full record kept',
  potPassedTheMark: 'Pot {number} passed {mark}: {value} on {day}.',
  potWasUpFirst:
    'Pot {number} was found up first, on {day}, {age, plural, one {# day} other {# days}} after sowing.',
  potHasAFullRecord: 'Pot {number} was looked at on every one of {days, plural, one {# day} other {# days}}.',
  wePlantedToFindOut: 'Our question: {question}',
  whatWeGrow: 'Our class is growing {crop} in {pots, plural, one {# pot} other {# pots}}, sown on {sown}.',
  weAreStillWatching: 'We are still watching what happens.',
  ifAPlantComesHome: 'If a plant comes home ({crop})',
  careLight: 'Light: as bright as you can, out of the hottest noon sun for the first days.',
  careWater: 'Water: about {ml} mL when the top of the mix feels dry; let it run off.',
  careWarmth: 'Warmth: never below {min} °C, best around {best} °C.',
  carePotOn: 'Potting on: into a larger pot when it is about {height} cm tall or roots show below.',
  carePlantOut: 'Planting out: after the last frost, {apart} cm from the next; it can grow {height} cm tall.',
  careStaysSmall: 'It stays small enough for a window: about {height} cm.',
  careHarvest: 'Flowers or harvest: {min} to {max} days after sowing, as a rule.',
  please: 'Please:',
  familyCaution:
    'do not eat any part of a plant from class unless the teacher says that it is safe; wash hands after touching soil; and tell us about allergies. The school’s rules come first.',
  wallChartHow:
    'One dot for each plant and day, one colour for each treatment. Leave a gap on days when nobody measured ({unit}).',
  emptyChart: 'An empty chart of {days, plural, one {# day} other {# days}} to fill in by hand',
  drawWhatYouSee: 'Draw what you see',
  theTallestIs: 'The tallest:  ____ {unit}',
};
