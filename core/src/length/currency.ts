/** Money that is written with the sign or letters of another currency than dollars; null where it is not. */
const OTHER =
  /[€£¥₹₩₺₴₽]|\b(eur|euros?|gbp|pounds?|chf|cad|aud|nzd|jpy|yen|sek|nok|dkk|kr|pln|zł|inr|cny|rmb)\b|\b(a|c|nz|hk)\$/i;

export const otherCurrency = (typed: string): string | null => OTHER.exec(typed)?.[0] ?? null;
