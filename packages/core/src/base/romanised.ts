/*
 * Latin letters for those of other scripts, so that an ID can be made of any name. Letters of alphabets have
 * the equivalents that passports and maps use, without marks; syllables of Hangul and kana are composed by
 * their systems (Revised Romanization, Hepburn). Signs without a sound of their own, such as Han characters,
 * are written as their code points.
 */

/** Pairs of a letter and its equivalent, one script a line. */
const LETTERS = `
а a б b в v г g ґ g д d е e ё e є ie ж zh з z и i й i і i ї i ј j к k л l љ lj м m н n њ nj о o п p р r с s т t ћ c ђ dj у u ў u ф f х kh ц ts ч ch џ dz ш sh щ shch ъ - ы y ь - э e ю iu я ia
α a β v γ g δ d ε e ζ z η i θ th ι i κ k λ l μ m ν n ξ x ο o π p ρ r σ s ς s τ t υ y φ f χ ch ψ ps ω o
א a ב b ג g ד d ה h ו v ז z ח h ט t י y כ k ך k ל l מ m ם m נ n ן n ס s ע a פ p ף f צ ts ץ ts ק k ר r ש sh ת t
ا a أ a إ i آ a ٱ a ء - ب b پ p ت t ث th ج j چ ch ح h خ kh د d ذ dh ر r ز z ژ zh س s ش sh ص s ض d ط t ظ z ع a غ gh ف f ق q ك k ک k گ g ل l م m ن n ه h ة a و w ؤ w ي y ی y ى a ئ y
ա a բ b գ g դ d ե e զ z է e ը y թ t ժ zh ի i լ l խ kh ծ ts կ k հ h ձ dz ղ gh ճ ch մ m յ y ն n շ sh ո o չ ch պ p ջ j ռ r ս s վ v տ t ր r ց ts ւ v փ p ք k օ o ֆ f և ev
ა a ბ b გ g დ d ე e ვ v ზ z თ t ი i კ k ლ l მ m ნ n ო o პ p ჟ zh რ r ს s ტ t უ u ფ p ქ k ღ gh ყ q შ sh ჩ ch ც ts ძ dz წ ts ჭ ch ხ kh ჯ j ჰ h
あ a い i う u え e お o か ka き ki く ku け ke こ ko さ sa し shi す su せ se そ so た ta ち chi つ tsu て te と to な na に ni ぬ nu ね ne の no は ha ひ hi ふ fu へ he ほ ho ま ma み mi む mu め me も mo や ya ゆ yu よ yo ら ra り ri る ru れ re ろ ro わ wa を o ん n ゃ ya ゅ yu ょ yo っ - ー -
ß ss æ ae œ oe ø o đ d ð d þ th ł l ı i ħ h
`;
const NOTHING = '-';
const letters = new Map(
  LETTERS.trim()
    .split('\n')
    .flatMap((line) => {
      const pairs = line.split(' ');
      return pairs.flatMap((sign, at): [string, string][] =>
        at % 2 === 0 ? [[sign, pairs[at + 1] === NOTHING ? '' : (pairs[at + 1] ?? '')]] : [],
      );
    }),
);

const INITIALS = 'g kk n d tt r m b pp s ss - j jj ch k t p h'.split(' ');
const VOWELS = 'a ae ya yae eo e yeo ye o wa wae oe yo u wo we wi yu eu ui i'.split(' ');
const FINALS = '- k k k n n n t l k m l l l p l m p p t t ng t t k t p t'.split(' ');
const HANGUL = 0xac00;
const LAST_HANGUL = 0xd7a3;
/** From hiragana to katakana, in code points. */
const KANA_STEP = 0x60;

function ofHangul(code: number): string {
  const place = code - HANGUL;
  const parts = [
    INITIALS[Math.floor(place / 588)],
    VOWELS[Math.floor((place % 588) / 28)],
    FINALS[place % 28],
  ];
  return parts.filter((part) => part !== NOTHING).join('');
}

function ofSign(sign: string): string {
  const code = sign.codePointAt(0) ?? 0;
  if (code < 0x80) return sign;
  if (code >= HANGUL && code <= LAST_HANGUL) return ofHangul(code);
  const known =
    letters.get(sign) ??
    letters.get(String.fromCodePoint(code >= 0x30a1 && code <= 0x30f6 ? code - KANA_STEP : code));
  if (known !== undefined) return known;
  return /\p{L}|\p{N}/u.test(sign) ? `-${code.toString(36)}-` : ' ';
}

/**
 * A text in Latin letters, lower case, without marks; what is neither a letter nor a digit stays or becomes a
 * space.
 */
export function romanised(text: string): string {
  const whole = [...text.toLowerCase().normalize('NFC')]
    .map((sign) => (letters.has(sign) || /\p{Script=Hangul}/u.test(sign) ? ofSign(sign) : sign))
    .join('');
  return [...whole.normalize('NFKD').replaceAll(/\p{M}/gu, '')].map(ofSign).join('').toLowerCase();
}
