<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Field;

use Lustrum\Core\Run\ArticleState;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunTally;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Wording\FieldWords;
use Lustrum\Core\Wording\Noticing;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Domain\Trial\TrialState;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\FailureFacts;
use Lustrum\Facts\IntendedSettings;
use Lustrum\Facts\MadeNow;
use Lustrum\Facts\PlanFacts;
use Lustrum\Facts\RunDots;
use Lustrum\Facts\RunFacts;
use Lustrum\Record\Records;
use Lustrum\Sheet\Run\Asked;
use Lustrum\Sheet\Try\PlanRows;
use Lustrum\Sheet\Try\RunDot;

/** Works out what a phone takes along of a build. */
final readonly class FieldSheets
{
    public function __construct(
        private Records $records,
        private Books $books,
        private FailureFacts $failures,
        private PlanFacts $plans,
        private RunDots $dots,
        private RunFacts $runs,
        private IntendedSettings $intended,
        private MadeNow $now,
    ) {
    }

    public function of(Revision $revision): FieldSheet
    {
        $device = $revision->device();
        $book = $this->books->open($device);
        $id = $revision->id()->toRfc4122();
        $known = $this->failures->known($device->id()->toRfc4122());
        $articles = array_values(array_filter(
            $this->records->all(Article::class, ['revision' => $revision]), static fn (Article $a): bool => $a->isHere(),
        ));
        $open = array_values(array_filter(
            $this->records->all(Trial::class, ['revision' => $revision]), static fn (Trial $t): bool => $t->state() !== TrialState::Done
                && $t->method()->name() !== WorkshopWords::making(),
        ));
        [$made, $dots, $counts] = [$this->plans->made($id), $this->dots->ofBuild($id), $this->dots->counts($id)];
        $methods = array_map(static fn (Trial $t): string => $t->method()->id()->toRfc4122(), $open);
        $good = $this->runs->lastHeldOf(array_values(array_unique($methods)));
        $intended = $this->intended->ofAll($revision, $open, $articles);
        $now = $this->now->on($revision);
        $last = fn (Trial $t, ?RunFact $held): ?LastGood => $held === null ? null : LastGood::of(
            $held, self::otherwise($held->configuration, $t, $articles, $now),
        );

        return new FieldSheet(
            FieldWords::sentence($revision->letter(), count($open), count($articles)), $device->id()->toRfc4122(), $device->name(),
            $revision->view(),
            array_map(fn (Trial $t): FieldTrial => $this->trial(
                $t, $book, $made, $dots, $counts, $articles, $last($t, $good[$t->method()->id()->toRfc4122()] ?? null), self::setOnPurpose($t, $intended[$t->id()->toRfc4122()] ?? []),
            ), $open),
            array_map(static fn (Article $a): ArticleView => $a->view(), $articles), $known['modes'], $known['places'],
        );
    }

    /**
     * @param array<string, list<\Lustrum\Core\Plan\Made>>           $made
     * @param array<string, list<array<string, mixed>>>              $dots
     * @param array<string, array{from: string, to: string, runs: RunTally}> $counts
     * @param list<Article>                                          $articles
     * @param list<SetOnPurpose>                                     $set
     */
    private function trial(
        Trial $trial, Book $book, array $made, array $dots, array $counts, array $articles, ?LastGood $good, array $set,
    ): FieldTrial {
        $key = $trial->id()->toRfc4122();
        $used = PlanRows::used(array_map(RunDot::fromRow(...), $dots[$key] ?? []));

        return new FieldTrial(
            $trial->view(), Asked::ofMethod($trial->method(), $book->metrics(), $book->words()), $trial->method()->safety()->inSight(true),
            FieldWords::blocked($trial->agreesNext(), $trial->lacksLimits()), PlanRows::of($trial, $made[$key] ?? [], $articles, $used),
            isset($counts[$key]) ? $counts[$key]['runs']->all() : 0, $good,
            $set,
        );
    }

    /**
     * @param list<Article>                                    $articles
     * @param \Closure(Trial, ?Article, string): Configuration $now
     *
     * @return list<MadeOtherwise> of each article, and of what is none
     */
    private static function otherwise(Configuration $held, Trial $trial, array $articles, \Closure $now): array
    {
        return [
            ...array_map(static fn (Article $a): MadeOtherwise => new MadeOtherwise(
                $a->id()->toRfc4122(), '', Noticing::otherwise($held, $now($trial, $a, '')),
            ), $articles),
            ...array_map(static fn (string $state): MadeOtherwise => new MadeOtherwise(
                '', $state, Noticing::otherwise($held, $now($trial, null, $state)),
            ), ['', ...ArticleState::ALL]),
        ];
    }

    /**
     * @param array<string, list<SettingRule>> $intended by article
     *
     * @return list<SetOnPurpose>
     */
    private static function setOnPurpose(Trial $trial, array $intended): array
    {
        $method = array_column($trial->method()->settings(), null, 'name');
        $out = [];
        foreach ($intended as $article => $rules) {
            foreach ($rules as $rule) {
                if ($rule->intended !== $method[$rule->name]->intended) {
                    $out[] = new SetOnPurpose($article, $rule->name, $rule->intended);
                }
            }
        }

        return $out;
    }
}
