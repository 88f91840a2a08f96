/** Words for labels that stand in for real ones, by language: short and long ones, with the letters of its script. */
const byLanguage: Readonly<Record<string, readonly string[]>> = {
  en: ['gardens', 'visit', 'opening', 'rare plants', 'shop', 'guided tours', 'young growers', 'seasons'],
  de: [
    'Gärten',
    'Besuch',
    'Öffnungszeiten',
    'Stauden',
    'Laden',
    'Führungen',
    'Gewächshäuser',
    'Jahreszeiten',
  ],
  fr: ['jardins', 'visites', 'horaires', 'plantes vivaces', 'boutique', 'ateliers', 'pépinière', 'saisons'],
  es: ['jardines', 'visitas', 'horarios', 'plantas raras', 'tienda', 'talleres', 'vivero', 'estaciones'],
  it: ['giardini', 'visite', 'orari', 'piante rare', 'negozio', 'laboratori', 'vivaio', 'stagioni'],
  nl: [
    'tuinen',
    'bezoek',
    'openingstijden',
    'vaste planten',
    'winkel',
    'rondleidingen',
    'kwekerij',
    'seizoenen',
  ],
  pl: ['ogrody', 'zwiedzanie', 'godziny otwarcia', 'byliny', 'sklep', 'warsztaty', 'szkółka', 'pory roku'],
  pt: ['jardins', 'visitas', 'horários', 'plantas raras', 'loja', 'oficinas', 'viveiro', 'estações'],
  sv: ['trädgårdar', 'besök', 'öppettider', 'perenner', 'butik', 'visningar', 'växthus', 'årstider'],
  ru: ['сады', 'посещение', 'часы работы', 'многолетники', 'магазин', 'экскурсии', 'питомник', 'сезоны'],
  el: ['κήποι', 'επίσκεψη', 'ώρες', 'σπάνια φυτά', 'κατάστημα', 'ξεναγήσεις', 'φυτώριο', 'εποχές'],
  ar: ['حدائق', 'زيارة', 'ساعات العمل', 'نباتات نادرة', 'متجر', 'جولات', 'مشتل', 'فصول'],
  he: ['גנים', 'ביקור', 'שעות פתיחה', 'צמחים נדירים', 'חנות', 'סיורים', 'משתלה', 'עונות'],
  ja: ['庭園', '見学', '開園時間', '珍しい植物', '売店', 'ガイドツアー', '苗木', '四季'],
  zh: ['花园', '参观', '开放时间', '珍稀植物', '商店', '导览', '苗圃', '四季'],
};

/** The words of a language (BCP 47), or else the English ones. */
export function standInWords(language: string): readonly string[] {
  return byLanguage[language.split('-')[0]?.toLowerCase() ?? ''] ?? (byLanguage.en as readonly string[]);
}
