<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

/** Sentences about one's own account. */
final class AccountWords
{
    /** @param int|null $idle whole days for which the longest unused of the other places was not used; null: there is no other */
    public static function sentence(string $name, int $places, ?int $idle): string
    {
        return Messages::say('account.sentence', ['name' => $name, 'n' => $places, 'others' => $idle !== null, 'days' => $idle ?? 0]);
    }

    /** What kind of thing a browser runs on, as far as it says. */
    public static function place(string $browser, bool $here): string
    {
        $kind = preg_match(
            '/mobile|android|phone|tablet/i', $browser,
        ) === 1 ? 'phone' : (preg_match('/mozilla/i', $browser) === 1 ? 'computer' : 'other');

        return Messages::say('account.place', ['kind' => $kind, 'here' => $here]);
    }

    public static function ends(int $days): string
    {
        return Messages::say('account.ends', ['days' => $days]);
    }
}
