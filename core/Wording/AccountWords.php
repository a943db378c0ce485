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

    /**
     * Whose something is, where a file says so and nobody else.
     *
     * @param string $said      as the file says; empty: it does not
     * @param string $broughtIn by whom the file came in; empty: it is no file's word
     */
    public static function author(string $said, string $broughtIn): string
    {
        // What was brought in before was said then, too; who answers for it is whoever brought it in last.
        $said = self::said($said);

        return $broughtIn === '' || $broughtIn === $said
            ? $said : Messages::say('account.author', ['said' => $said !== '', 'name' => $said, 'by' => $broughtIn]);
    }

    /** The name alone, of one that stands with the word of whoever brought it in. */
    public static function said(string $author): string
    {
        return preg_match('/^said to be (.+), brought in by .+$/u', $author, $before) === 1 ? $before[1] : $author;
    }

    /** To a place where somebody was signed in until the password was changed at another. */
    public static function passwordChanged(): string
    {
        return Messages::say('account.passwordChanged');
    }

    public static function ends(int $days): string
    {
        return Messages::say('account.ends', ['days' => $days]);
    }
}
