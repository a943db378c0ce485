<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;

/** Counts failed sign-ins of an account and of an address; eight in a quarter of an hour close the door for a while. */
final readonly class SignInThrottle
{
    public const MOST = 8;
    public const MOST_OF_ADDRESS = 60;
    public const MINUTES = 15;

    public function __construct(
        private Connection $db,
        private ClockInterface $clock,
    ) {
    }

    public function isClosed(string $email, string $address): bool
    {
        return $this->count('account:'.$email) >= self::MOST || $this->count('address:'.$address) >= self::MOST_OF_ADDRESS;
    }

    public function failed(string $email, string $address): void
    {
        foreach (['account:'.$email, 'address:'.$address] as $key) {
            $this->db->executeStatement(
                'INSERT INTO sign_in_failure (key, failures, since) VALUES (:key, 1, :now)
                 ON CONFLICT (key) DO UPDATE SET
                    failures = CASE WHEN sign_in_failure.since < :start THEN 1 ELSE sign_in_failure.failures + 1 END,
                    since = CASE WHEN sign_in_failure.since < :start THEN :now ELSE sign_in_failure.since END',
                ['key' => self::hash($key), 'now' => $this->time(0), 'start' => $this->time(self::MINUTES)],
            );
        }
    }

    public function succeeded(string $email): void
    {
        $this->db->executeStatement('DELETE FROM sign_in_failure WHERE key = :key', ['key' => self::hash('account:'.$email)]);
    }

    private function count(string $key): int
    {
        $count = $this->db->fetchOne('SELECT failures FROM sign_in_failure WHERE key = :key AND since >= :start', ['key' => self::hash($key), 'start' => $this->time(self::MINUTES)]);

        return is_numeric($count) ? (int) $count : 0;
    }

    private function time(int $minutesAgo): string
    {
        return $this->clock->now()->modify(sprintf('-%d minutes', $minutesAgo))->format('Y-m-d H:i:sP');
    }

    private static function hash(string $key): string
    {
        return hash('sha256', $key);
    }
}
