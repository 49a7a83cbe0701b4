import type { FaultClass } from "../verdict/verdict.ts";

/** What of an exercise a reason may speak of: the names, values and lines of its program. */
export type ReasonFacts = { names: ReadonlySet<string>; lines: number };

/**
 * An idea that belongs to a class: when the fault shows, or what happens then. `words` are the forms in which people say it.
 */
type Idea = { says: string; about: "when" | "what"; words: readonly RegExp[] };

const not = String.raw`(?:\bnot|n['’]t|\bnever|\bno|\bwithout(?: any| an?)?|\bnothing)`;

/** Ideas by class. The definitions are those of the verdict. */
const ideas: Readonly<Record<FaultClass, readonly Idea[]>> = {
  syntax: [
    {
      ...{ says: "it does not start", about: "when" },
      words: [
        new RegExp(`${not}\\b[^.]{0,30}\\b(?:start|run|ran|execut|carried out|translat|compil|interpret|print)`, "i"),
        /\b(?:refus|reject)\w*|\b(?:cannot|can ?not|fails? to|unable to) (?:be )?(?:start|run|compile|translate|parse)/i,
        /\bbefore\b[^.]{0,25}\b(?:any|it|the program|a line|the first)\b|\bat (?:translation|compile)/i,
        /\b(?:compiler|interpreter|parser|translator)\b[^.]{0,30}\b(?:understand|accept|complain|stop|find|report|reject|refus)/i,
      ],
    },
    {
      ...{ says: "a rule of the language is broken", about: "what" },
      words: [
        /\b(?:grammar|syntax rule|rules? of)\b|\bbreaks? (?:a|the) rule/i,
        /\b(?:bracket|brace|quote|quotation mark|colon|semicolon|parenthes[ie]s|indent\w*|comma|keyword)\b[^.]{0,40}\b(?:missing|lack\w*|left out|forgotten|not closed|unclosed|wrong|extra|too many|there)\b/i,
        /\b(?:missing|lack\w*|left out|forgot\w*|not closed|unclosed|without|no|extra)\b[^.]{0,25}\b(?:bracket|brace|quote|quotation mark|colon|semicolon|parenthes[ie]s|indent\w*|comma|keyword|end)\b/i,
        /\bundeclared\b|\bnot (?:been )?declared\b|\bwrong type\b|\btypes? (?:do not|don['’]t) (?:fit|match)/i,
      ],
    },
  ],
  runtime: [
    {
      ...{ says: "it shows when a line is reached", about: "when" },
      words: [
        /\b(?:while|when|during|as|once|only)\b[^.]{0,40}\b(?:runn\w*|runs?|reach\w*|execut\w*|carried out|line \d+|gets? to|comes? to)\b/i,
        /\b(?:at run ?time|half ?way|in the middle|after (?:it|the program) (?:had |has )?(?:start|print|began|beg[iu]n))/i,
        /\b(?:start(?:s|ed)?|ran|runs|printed|carried out|worked)\b[^.]{0,40}\b(?:then|but|until|before (?:it|that)|up to|and stops?)\b/i,
        /\b(?:everything|all|lines?|the rest)\b[^.]{0,20}\b(?:above|before)\b[^.]{0,30}\b(?:carried out|ran|run|executed|worked|done)\b/i,
      ],
    },
    {
      ...{ says: "it stops there", about: "what" },
      words: [
        /\b(?:stop|crash|abort|terminat|quit|halt)\w*|\bends? (?:early|too early|with an error)|\bbreaks? (?:off|down)|\bexception\b|\btraceback\b|\berror message\b/i,
        /\b(?:unknown|undefined|not defined|misspel\w*|spelling mistake|spelt|typo)\b[^.]{0,40}\bname|\bname\w*\b[^.]{0,40}\b(?:unknown|undefined|not (?:defined|known)|misspel\w*|does not exist)/i,
        /\b(?:divi\w*|division) by (?:zero|0)|\bout of (?:range|bounds)|\bno such (?:place|index|file|key)|\bcannot (?:be )?convert/i,
        /\bspelling mistake\b|\bmisspel\w*|\bwrong type\b|\bnull\b/i,
      ],
    },
  ],
  logic: [
    {
      ...{ says: "it runs to its end", about: "when" },
      words: [
        /\b(?:runs?|ran|finish\w*|ends?|ended|works?|complete\w*|starts?)\b(?![^.]{0,12}\b(?:early|not)\b)/i,
        /\b(?:no|without(?: an?| any)?)\b[^.]{0,12}\b(?:crash|error message|message|error|exception|stop)/i,
        /\bvalid (?:program|code|syntax)\b|\b(?:does not|doesn['’]t|did not|didn['’]t) (?:crash|stop|end)\b|\bnever ends?\b/i,
      ],
    },
    {
      ...{ says: "the result is not the intended one", about: "what" },
      words: [
        /\b(?:output|result|answer|value|total|bill|number|it prints?|printed)\b[^.]{0,40}\b(?:wrong|not (?:what|the|as|right|correct|expected)|differ\w*|incorrect|unexpected|too (?:small|large|big|high|low|many|few)|instead)\b/i,
        /\b(?:wrong|incorrect|unexpected|different|unintended)\b[^.]{0,25}\b(?:output|result|answer|value|total|number|thing|condition|formula|operator|sign|order)\b/i,
        /\bnot (?:what|as|the one)\b[^.]{0,30}\b(?:meant|intended|wanted|expected|should)|\bshould\b[^.]{0,40}\b(?:be|have|give|print|add|use|come)\b/i,
        /\b(?:instead of|rather than|in place of|never ends)\b/i,
      ],
    },
  ],
};

/** Takes back what is said: a word that is denied says the opposite ("it does not stop"). */
const denial = /(?:\bnot|n['’]t|\bnever|\bno|\bwithout|\bnothing)\b[^.,;]{0,14}$/i;

/** A lack or a mistake that is said not to be there. */
const noFault =
  /(?:\bnot|n['’]t|\bnever|\bno)\s+(?:\w+\s+)?(?:wrong|incorrect|different|unexpected|missing|lacking|left out|forgotten|unclosed|misspel\w*)\b|\bno\s+\w+\s+(?:is|was)\s+(?:missing|wrong|left out|unclosed)\b/i;

/** Whether an idea stands in a text, and is not denied there. */
function found(text: string, { words }: Idea): boolean {
  return words.some((form) => {
    const match = form.exec(text);
    if (!match) return false;
    // With the words just before it, in which it may be denied.
    if (noFault.test(text.slice(Math.max(0, match.index - 8), match.index + match[0].length + 14))) return false;
    // A form that holds its own denial means it.
    return new RegExp(`^${not}`, "i").test(match[0]) || !denial.test(text.slice(0, match.index));
  });
}

/** Words that make a sentence: without one of them key words stand in no connection. */
const joins =
  /\b(?:is|are|was|were|has|have|had|does|do|did|can|cannot|will|would|should|gets?|gives?|goes|comes?|stops?|stopped|runs?|ran|prints?|printed|starts?|started|ends?|ended|crash\w*|miss\w*|lacks?|works?|finish\w*|shows?|notice\w*|uses?|used|reach\w*|fails?|breaks?|broke|refus\w*|calls?|adds?|counts?|divid\w*|forg\w+|it['’]s|isn['’]t|doesn['’]t|can['’]t)\b/i;

/** Whether a text reads like a sentence: words in a row that are joined, and not one word again and again. */
function isSentence(text: string): boolean {
  const words = text.toLowerCase().match(/[\p{L}\p{N}_'’]+/gu) ?? [];
  if (words.length < 3) return false;
  if (!joins.test(text)) return false;
  const different = new Set(words).size;
  if (different < words.length * 0.5) return false;
  // Key words in a row without the small words between them.
  const small = words.filter((word) =>
    /^(?:the|a|an|it|of|to|in|on|is|are|was|and|but|that|this|at|for|by|with|when|so|because|not|as|its|there|then|has|no|only|does|be)$/.test(
      word,
    ),
  );
  return small.length >= words.length * 0.15;
}

/** Lines, names or values of this program that a text speaks of. */
function speaksOf(text: string, facts: ReasonFacts): boolean {
  const line = /\blines?\s+(\d+)/i.exec(text);
  if (line && Number(line[1]) >= 1 && Number(line[1]) <= facts.lines) return true;
  const words = text.match(/[\p{L}_][\p{L}\p{N}_]*|\d+(?:\.\d+)?/gu) ?? [];
  return words.some((word) => facts.names.has(word));
}

/** A suggestion for a reason: the share of its marks (0, 0.5 or 1), in words that name what it rests on. */
export type ReasonSuggestion = { share: number; words: string };

/**
 * Suggests what a reason for a class earns; the teacher decides. Half where it says one of the two ideas (when the fault
 * shows, what happens then) or both in general words; full where it also names a line, a name or a value of this program.
 * What belongs to another class alone earns nothing; key words in no sentence, or denied, not more than half.
 */
export function suggestReason(reason: string, right: FaultClass, facts: ReasonFacts): ReasonSuggestion {
  const text = reason.replace(/\s+/g, " ").trim();
  if (text === "") return { share: 0, words: "No reason was given." };
  const own = ideas[right].filter((idea) => found(text, idea));
  const particular = speaksOf(text, facts);
  const others = (["syntax", "runtime", "logic"] as const).filter((each) => each !== right);
  const rival = others
    .map((each) => ({ each, ideas: ideas[each].filter((idea) => found(text, idea)) }))
    .sort((one, other) => other.ideas.length - one.ideas.length)[0];
  const says = own.map((idea) => idea.says).join(", and ");
  if (own.length === 0) {
    if (rival && rival.ideas.length > 0)
      return { share: 0, words: `It speaks of what belongs to a ${rival.each} error: ${rival.ideas[0]?.says}.` };
    return { share: 0, words: "Neither when the fault shows nor what happens then was found in it." };
  }
  if (!isSentence(text))
    return { share: 0.5, words: `It has words for it (${says}) and does not say it in a sentence.` };
  if (rival && rival.ideas.length > own.length)
    return { share: 0.5, words: `It says ${says}, and more of what belongs to a ${rival.each} error.` };
  if (particular) return { share: 1, words: `It says of this program: ${says}.` };
  if (own.length === 2 && right !== "logic")
    return { share: 1, words: `It says when the fault shows and what happens then: ${says}.` };
  return { share: 0.5, words: `It says in general: ${says}. It names no line, name or value of this program.` };
}
