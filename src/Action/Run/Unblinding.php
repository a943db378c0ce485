<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentUser;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorRole;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\PanelWords;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Trial\Found;
use Lustrum\Domain\Trial\Panel;
use Lustrum\Domain\Trial\PanelSheet;
use Lustrum\Domain\Trial\PanelView;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\ReadingInput;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\RunInput;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\History;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** A panel is unblinded: each sheet becomes a run of its trial, with the rater as its block, and from then on sheets come too late. */
final readonly class Unblinding
{
    /** What the block is called where the method has none of its own. */
    private const RATER = 'rater';

    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private CurrentUser $user,
        private AfterWrite $after,
        private History $history,
    ) {
    }

    /** Sent twice, or by two at once, it is done once. */
    public function unblind(Panel $panel, int $version): PanelView
    {
        return $this->em->wrapInTransaction(function () use ($panel, $version): PanelView {
            $this->writer->oneAtATime($panel->id());
            // Whoever waited here looks anew at what the other one did.
            $this->em->refresh($panel);
            if ($panel->isUnblinded()) {
                return $panel->view();
            }
            $sheets = $this->records->all(PanelSheet::class, ['panel' => $panel]);
            if ($sheets === []) {
                throw Invalid::at('panel', 'Nobody has rated anything yet.');
            }
            $this->writer->amend(Panel::class, $panel->id(), $version, function (Panel $of, string $by) use ($sheets): void {
                // What was said can be read from here on.
                $of->unblind($by);
                $this->history->happened('panel-unblinded', $of->id(), $of->workspace(), $by, ['trial' => $of->trial()->name()]);
                $this->tell($of, $sheets);
            });

            return $panel->view();
        });
    }

    /** @param list<PanelSheet> $sheets */
    private function tell(Panel $panel, array $sheets): void
    {
        $block = $this->block($panel);
        $articles = [];
        foreach ($this->records->all(Article::class, ['revision' => $panel->trial()->revision()]) as $article) {
            $articles[$article->serial()] = $article;
        }
        foreach ($sheets as $sheet) {
            $this->run($panel, $sheet, $articles, $block);
        }
    }

    /** The block by which the raters pair their runs. */
    private function block(Panel $panel): string
    {
        $method = $panel->trial()->method();
        foreach ($method->factors() as $factor) {
            if ($factor->isBlock() && !in_array($factor->name, Factor::KNOWN, true)) {
                return $factor->name;
            }
        }
        $method->learns([], [new Factor(self::RATER, FactorRole::Block)], $this->records);
        $this->em->flush();

        return self::RATER;
    }

    /** @param array<string, Article> $articles by serial */
    private function run(Panel $panel, PanelSheet $sheet, array $articles, string $block): void
    {
        $said = $sheet->view();
        $article = $articles[$panel->serialOf($said->code) ?? ''] ?? null;
        $begun = new RunInput(
            $panel->trial()->id()->toRfc4122(), $article?->id()->toRfc4122(), $this->user->name(), Instant::write($sheet->at()),
            levels: [new Found($block, $said->rater)], person: $said->rater,
        );
        $run = $this->writer->make(Run::class, Uuid::v7(), $begun);
        $run = $run instanceof Run ? $run : throw new \LogicException('A run was begun.');
        $this->em->flush();
        $written = [$run];
        foreach ($said->ratings as $rating) {
            $unit = $run->configuration()->channel($rating->name)->unit ?? '';
            $written[] = $this->writer->make(Reading::class, Uuid::v7(), new ReadingInput(
                $run->id()->toRfc4122(), $rating->name, $rating->text, PanelWords::underACode($said->code, $said->notBlind), $unit,
            ));
        }
        $run->fill(new RunInput(
            $begun->trial, $begun->article, $begun->operator, levels: $begun->levels, note: $said->note, outcome: RunOutcome::Held,
            person: $begun->person,
        ), $this->records);
        $this->em->flush();
        $this->after->written($written);
    }
}
