<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Evidence\State;

/**
 * The verdict on a build for one use, from the musts that this use asks for. A use fits when all of them are shown; it does
 * not when one is shown not to be met, unless each of these is answered by something proposed. Everything less says nothing.
 */
final readonly class UseVerdict
{
    /**
     * @param int          $musts      that the use asks for
     * @param int          $shown      of them
     * @param list<string> $failed     statements of those that are shown not to be met
     * @param list<string> $unanswered of these, what nothing proposed answers
     * @param list<string> $answers    what is proposed against the others
     */
    public function __construct(
        public UseFit $fit,
        public int $musts,
        public int $shown,
        public array $failed,
        public array $unanswered,
        public array $answers,
    ) {
    }

    /**
     * @param list<Cell>     $cells    of the requirements that this use asks for
     * @param list<Proposal> $proposed and still open
     */
    public static function of(array $cells, array $proposed): self
    {
        $musts = array_values(array_filter($cells, static fn (Cell $c): bool => $c->wanted->must));
        $shown = count(array_filter($musts, static fn (Cell $c): bool => $c->state === State::Shown));
        $failed = $unanswered = $open = [];
        foreach ($musts as $cell) {
            if ($cell->state !== State::Against) {
                continue;
            }
            $failed[] = $cell->wanted->statement;
            $against = array_map(
                static fn (Proposal $p): string => $p->what,
                array_values(array_filter($proposed, static fn (Proposal $p): bool => $p->answers($cell->wanted))),
            );
            $open = [...$open, ...$against];
            if ($against === []) {
                $unanswered[] = $cell->wanted->statement;
            }
        }
        $fit = match (true) {
            $unanswered !== [] => UseFit::DoesNot,
            $failed !== [] => UseFit::WithChanges,
            $musts !== [] && $shown === count($musts) => UseFit::Fits,
            default => UseFit::NotKnown,
        };

        return new self($fit, count($musts), $shown, $failed, $unanswered, array_values(array_unique($open)));
    }
}
