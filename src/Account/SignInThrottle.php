<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;

/**
 * Slows signing in after wrong passwords, without locking the rightful owner out.
 *
 * An account that was guessed at is held back for a moment that doubles with each wrong try, a minute at the most. An
 * address from which many wrong ones came is closed for a quarter of an hour to strangers: whoever is signed in there
 * already goes on, and may sign in there again. A try is counted before the password is looked at, in one statement, so
 * that forty at once are forty; a right one is taken off again, and nothing but time takes off a wrong one.
 */
final readonly class SignInThrottle
{
    /** So many tries of an account are free. */
    public const FREE = 5;
    public const LONGEST_WAIT = 60;
    public const MOST_OF_ADDRESS = 60;
    public const MINUTES = 15;

    public function __construct(
        private Connection $db,
        private ClockInterface $clock,
    ) {
    }

    /** Counts a try; seconds to wait before the next one is looked at, nought where this one may be. */
    public function attempt(string $email, string $address): int
    {
        $now = $this->clock->now();
        $byAddress = $this->count('address:'.$address, $now);
        if ($byAddress['tries'] > self::MOST_OF_ADDRESS && !$this->isAtHome($email, $address)) {
            return self::MINUTES * 60;
        }
        $byAccount = $this->count('account:'.$email, $now, self::FREE);

        return $byAccount['until'] > $now ? max(1, $byAccount['until']->getTimestamp() - $now->getTimestamp()) : 0;
    }

    public function succeeded(string $email, string $address): void
    {
        $this->db->executeStatement('DELETE FROM sign_in_failure WHERE key = ?', [self::hash('account:'.$email)]);
        $this->db->executeStatement(
            'UPDATE sign_in_failure SET failures = greatest(failures - 1, 0) WHERE key = ?', [self::hash('address:'.$address)],
        );
    }

    /** Under which an address is noted, so that it is known again and not told. */
    public static function hash(string $key): string
    {
        return hash('sha256', $key);
    }

    /** Is this person signed in at this address already? */
    private function isAtHome(string $email, string $address): bool
    {
        return $this->db->fetchOne(
            "SELECT 1 FROM signed_in s JOIN account a ON a.id = s.user_id WHERE a.email = ? AND s.address = ? AND s.ended = ''
             AND s.last_seen > CAST(? AS timestamptz) LIMIT 1",
            [$email, self::hash('address:'.$address), $this->clock->now()->modify(sprintf('-%d days', SignedIn::IDLE_DAYS))->format('c')],
        ) !== false;
    }

    /**
     * One more try under a key, unless it has to wait. An account's begins anew after a quarter of an hour of quiet; an
     * address's a quarter of an hour after its first.
     *
     * @return array{tries: int, until: \DateTimeImmutable} until: when the next try is looked at, as it was before this one
     */
    private function count(string $key, \DateTimeImmutable $now, int $free = \PHP_INT_MAX): array
    {
        $row = $this->db->fetchAssociative(
            'INSERT INTO sign_in_failure AS f (key, failures, since, until) VALUES (:key, 1, :now, :now)
             ON CONFLICT (key) DO UPDATE SET
                failures = CASE WHEN f.since < :start THEN 1 WHEN f.until > :now THEN f.failures ELSE f.failures + 1 END,
                since = CASE WHEN f.until > :now OR (CAST(:fixed AS boolean) AND f.since >= :start) THEN f.since ELSE :now END,
                waited = f.until,
                until = CASE
                    WHEN f.since < :start OR f.failures + 1 < CAST(:free AS bigint) THEN CAST(:now AS timestamptz)
                    WHEN f.until > :now THEN f.until
                    ELSE CAST(:now AS timestamptz) + make_interval(secs => least(power(2, least(f.failures + 1 - CAST(:free AS bigint), 10)), CAST(:most AS int)))
                END
             RETURNING failures, coalesce(waited, :now) until',
            [
                'key' => self::hash($key), 'now' => $now->format('Y-m-d H:i:s.uP'),
                'start' => $now->modify(sprintf('-%d minutes', self::MINUTES))->format('Y-m-d H:i:s.uP'), 'free' => $free,
                'most' => self::LONGEST_WAIT, 'fixed' => $free === \PHP_INT_MAX ? 'true' : 'false',
            ],
        );
        $tries = is_array($row) && is_numeric($row['failures']) ? (int) $row['failures'] : 0;
        $until = is_array($row) && is_string($row['until']) ? new \DateTimeImmutable($row['until']) : $now;

        return ['tries' => $tries, 'until' => $until];
    }
}
