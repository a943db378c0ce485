<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\Proposal;
use Lustrum\Core\Judging\UseVerdict;
use Lustrum\Core\Wording\BriefWords;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Decision\Choice;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Device\UseCase;
use Lustrum\Facts\Book;
use Lustrum\Facts\Candidates;
use Lustrum\Record\Records;

/** How a build does for each of the uses of its device. */
final readonly class Uses
{
    public function __construct(
        private Records $records,
        private Candidates $candidates,
    ) {
    }

    /**
     * @param Build|null $build that is judged; null: nothing was built yet
     *
     * @return list<UseRow>
     */
    public function of(Device $device, ?Build $build, Book $book): array
    {
        $uses = $this->records->all(UseCase::class, ['device' => $device]);
        if ($uses === []) {
            return [];
        }
        $asks = [];
        foreach ($this->records->all(Requirement::class, ['device' => $device]) as $requirement) {
            $asks[$requirement->id()->toRfc4122()] = $requirement->uses();
        }
        $cells = $build === null ? [] : $book->cells($build);
        $proposed = $build === null ? [] : $this->proposed($build, $book);
        $tried = $build !== null && $book->isTried($build);

        return array_map(static function (UseCase $use) use ($asks, $cells, $proposed, $build, $tried): UseRow {
            $id = $use->id()->toRfc4122();
            $verdict = UseVerdict::of(array_values(array_filter($cells, static fn (Cell $c): bool => self::isFor(
                $id, $asks[$c->wanted->id] ?? [],
            ))), $proposed);

            return new UseRow($use->view(), $verdict->fit, BriefWords::use($verdict, $build !== null && $tried ? $build->letter : ''));
        }, $uses);
    }

    /** @param list<string> $asking uses that a requirement is asked for by; none: every one */
    private static function isFor(string $use, array $asking): bool
    {
        return $asking === [] || in_array($use, $asking, true);
    }

    /** @return list<Proposal> that are open and not dropped */
    private function proposed(Build $build, Book $book): array
    {
        $open = array_filter($this->candidates->of($build, $book)[0], static fn (Candidate $c): bool => $c->choice() !== Choice::Drop);

        return array_values(array_map(static fn (Candidate $c): Proposal => $c->proposal(), $open));
    }
}
