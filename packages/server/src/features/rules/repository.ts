import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { HouseRulesInput, RuleSet } from '@long-miter/core';

export async function listRuleSets(db: Pool): Promise<RuleSet[]> {
  const [rows] = await db.query<RowDataPacket[]>('SELECT id, name, rules FROM rule_set ORDER BY name');
  return rows.map((row) => ({
    id: String(row['id']),
    name: String(row['name']),
    rules: (typeof row['rules'] === 'string' ? JSON.parse(row['rules']) : row['rules']) as HouseRulesInput,
  }));
}

/** Keeps a set under its name; a set of that name is replaced. */
export async function keepRuleSet(db: Pool, set: RuleSet): Promise<void> {
  await db.query(
    'INSERT INTO rule_set (id, name, rules) VALUES (:id, :name, :rules) ON DUPLICATE KEY UPDATE rules = :rules',
    { ...set, rules: JSON.stringify(set.rules) },
  );
}

export async function dropRuleSet(db: Pool, id: string): Promise<boolean> {
  const [result] = await db.query<ResultSetHeader>('DELETE FROM rule_set WHERE id = :id', { id });
  return result.affectedRows === 1;
}
