import { listingProblems } from '../../listing/index.ts';
import { showMoney } from '../../print/index.ts';
import type { Check, Finding } from '../finding.ts';

/** Texts within their limits, and prices that leave no loss. */
export const listing: Check = {
  id: 'listing',
  name: 'Listing complete, prices above the minimum',
  ofBook({ book: { recipe, rules }, ticket }) {
    const findings: Finding[] = listingProblems(recipe, rules.listing).map(
      ({ severity, message, field }) => ({
        check: 'listing',
        severity,
        message,
        place: { view: 'listing', field },
      }),
    );
    for (const { market, name, price, lowestPrice, currency } of ticket.markets) {
      const add = (severity: Finding['severity'], message: string) =>
        findings.push({
          check: 'listing',
          severity,
          message,
          place: { view: 'listing', field: `price-${market}` },
        });
      if (price === null)
        add('fix', `${name}: there is no price. Set one of ${showMoney(lowestPrice, currency)} or more.`);
      else if (price < lowestPrice)
        add(
          'fix',
          `${name}: ${showMoney(price, currency)} is below the minimum price, ${showMoney(lowestPrice, currency)}. Raise it.`,
        );
    }
    return findings;
  },
};
