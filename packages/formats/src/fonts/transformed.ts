/** A text as it is shown in another case (CSS Text 3, 2.1), in its language. */
export function transformed(text: string, transform: string, language: string): string {
  switch (transform) {
    case 'uppercase':
      return text.toLocaleUpperCase(language);
    case 'lowercase':
      return text.toLocaleLowerCase(language);
    case 'capitalize':
      return text.replace(/(?<![\p{L}\p{N}'’])\p{L}/gu, (letter) => letter.toLocaleUpperCase(language));
    default:
      return text;
  }
}
