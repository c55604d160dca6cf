import type { HouseRulesInput, RuleSet } from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';
import type { Db } from '../../db/pool.ts';

export async function listRuleSets(db: Db): Promise<RuleSet[]> {
  return (await db.rows('SELECT id, name, rules FROM rule_set ORDER BY name')).map((row) => ({
    id: String(row['id']),
    name: String(row['name']),
    rules: fromJson<HouseRulesInput>(row['rules']),
  }));
}

/** Keeps a set under its name; a set of just that name is replaced. */
export const keepRuleSet = (db: Db, { id, name, rules }: RuleSet): Promise<number> =>
  db.change(
    'INSERT INTO rule_set (id, name, rules) VALUES (:id, :name, :rules) ON DUPLICATE KEY UPDATE rules = VALUES(rules)',
    { id, name, rules: JSON.stringify(rules) },
  );

export const dropRuleSet = (db: Db, id: string): Promise<number> =>
  db.change('DELETE FROM rule_set WHERE id = :id', { id });
