<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Shared\Refusal\Invalid;

/** A password is not made of what everybody knows of its owner: address, name, workspace. */
final readonly class OwnPassword
{
    /** Letters from which on a word tells something. */
    private const WORD = 4;

    /** Characters that have to be left without those words. */
    private const LEFT = 8;

    public function __construct(
        private EntityManagerInterface $em,
    ) {
    }

    /** @throws Invalid */
    public function mustNotBeOwn(string $password, User $user, string $at = 'new'): void
    {
        $workspaces = array_map(
            static fn (Membership $m): string => $m->workspace()->name(), $this->em->getRepository(Membership::class)->findBy(['user' => $user]),
        );
        self::mustNotBeMadeOf($password, [$user->email(), $user->name(), ...$workspaces], $at);
    }

    /**
     * @param list<string> $known
     *
     * @throws Invalid
     */
    public static function mustNotBeMadeOf(string $password, array $known, string $at): void
    {
        $left = self::bare($password);
        $words = array_filter(
            preg_split('/[^\pL\pN]+/u', mb_strtolower(implode(' ', $known))) ?: [], static fn (string $w): bool => mb_strlen($w) >= self::WORD,
        );
        // The longest first: a word may stand in another.
        usort($words, static fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
        $without = str_replace($words, '', $left);
        if ($without !== $left && mb_strlen($without) < self::LEFT) {
            throw Invalid::at($at, 'This password is made of your address, your name or your workspace. Take a longer sentence of your own.');
        }
    }

    private static function bare(string $password): string
    {
        return (string) preg_replace('/[^\pL\pN]+/u', '', mb_strtolower($password));
    }
}
