<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

/** Who came and went, and what takes up the storage, in words. */
final class LogWords
{
    public static function sentence(int $days, int $signIns, int $people, int $exports): string
    {
        return Messages::say('log.sentence', ['days' => $days, 'n' => $signIns, 'people' => $people, 'exports' => $exports]);
    }

    /** @param array<string, string> $what as it was written down */
    public static function happened(string $kind, array $what): string
    {
        return match ($kind) {
            'sign-in' => Messages::say('log.signIn', ['address' => $what['address'] ?? '']),
            'member' => Messages::say('log.member', [
                'what' => str_replace(' ', '', $what['what'] ?? ''), 'name' => $what['name'] ?? '', 'role' => $what['role'] ?? '',
            ]),
            'password' => Messages::say('log.password'),
            'export' => Messages::say('log.export', ['name' => $what['name'] ?? '', 'as' => $what['as'] ?? '']),
            'import' => Messages::say('log.import', ['name' => $what['name'] ?? '', 'n' => (int) ($what['records'] ?? 0)]),
            'panel-opened' => Messages::say('log.opened', ['trial' => $what['trial'] ?? '', 'why' => rtrim($what['because'] ?? '', '.')]),
            'panel-unblinded' => Messages::say('log.unblinded', ['trial' => $what['trial'] ?? '']),
            default => $kind,
        };
    }

    public static function storage(string $workspace, string $taken, string $most, bool $isNearlyFull): string
    {
        return Messages::say('log.storage', ['workspace' => $workspace, 'taken' => $taken, 'most' => $most, 'full' => $isNearlyFull]);
    }

    /** @param string $device empty: the heap */
    public static function holder(string $device): string
    {
        return Messages::say('log.holder', ['heap' => $device === '', 'device' => $device]);
    }

    public static function where(string $device, string $letter): string
    {
        return Messages::say('log.where', ['heap' => $device === '', 'device' => $device, 'letter' => $letter]);
    }

    /** @param array<string, int> $kinds how many files of each kind */
    public static function files(array $kinds): string
    {
        return Messages::say('log.files', [
            'pictures' => $kinds['picture'] ?? 0, 'recordings' => ($kinds['clip'] ?? 0) + ($kinds['sound'] ?? 0),
            'documents' => $kinds['document'] ?? 0,
        ]);
    }
}
