<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Domain\Change\Change;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Record\Records;

/** Where the settings of a trial are meant to be, on one of its articles. */
final readonly class IntendedSettings
{
    public function __construct(
        private Records $records,
    ) {
    }

    /**
     * What is set to another value on purpose deviates from nothing: one that is being found, or that was changed on the article or
     * by a change of its build since the method was written.
     *
     * @return list<SettingRule>
     */
    public function of(Trial $trial, ?Article $article): array
    {
        return self::with($trial, self::setOnPurpose($this->byChanges($trial->revision()), $article));
    }

    /**
     * The same on each of some articles of its build, read once.
     *
     * @param list<Article> $articles
     * @param list<Trial>   $trials
     *
     * @return array<string, array<string, list<SettingRule>>> by trial and article
     */
    public function ofAll(Revision $build, array $trials, array $articles): array
    {
        $changed = $this->byChanges($build);
        $out = [];
        foreach ($trials as $trial) {
            foreach ($articles as $article) {
                $out[$trial->id()->toRfc4122()][$article->id()->toRfc4122()] = self::with($trial, self::setOnPurpose($changed, $article));
            }
        }

        return $out;
    }

    /**
     * @param array<string, string> $set what things were set to on purpose
     *
     * @return list<SettingRule>
     */
    private static function with(Trial $trial, array $set): array
    {
        $finds = $trial->finds();

        return array_map(static fn (SettingRule $s): SettingRule => match (true) {
            $s->name === $finds?->name => $s->wherever(),
            isset($set[Deviation::tidy($s->name)]) => $s->setTo($set[Deviation::tidy($s->name)]),
            default => $s,
        }, $trial->method()->settings());
    }

    /** @return array<string, string> what changes of a build set things to, by their names */
    private function byChanges(Revision $build): array
    {
        $altered = [];
        foreach ($this->records->all(Change::class, ['revision' => $build]) as $change) {
            $altered += array_fill_keys(array_map(Deviation::tidy(...), $change->view()->alters), true);
        }
        $out = [];
        foreach ($altered === [] ? [] : $this->records->all(Parameter::class, ['revision' => $build]) as $parameter) {
            $fact = $parameter->asFact();
            if (isset($altered[Deviation::tidy('parameter:'.$fact->name)])) {
                $out[Deviation::tidy($fact->name)] = $fact->text();
            }
        }

        return $out;
    }

    /**
     * @param array<string, string> $out by changes; what was changed on the article goes before
     *
     * @return array<string, string> what things were set to, by their names
     */
    private static function setOnPurpose(array $out, ?Article $article): array
    {
        foreach ($article?->deviants() ?? [] as $deviation) {
            $out = [Deviation::tidy($deviation->name) => $deviation->value] + $out;
        }

        return $out;
    }
}
