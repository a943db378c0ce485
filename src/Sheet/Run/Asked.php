<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Wording\MethodWords;
use Lustrum\Domain\Trial\Found;

/** What a run asks of whoever makes it: as its method was when it began. */
final readonly class Asked
{
    /**
     * @param bool               $waits     does a channel wait for an event, so that it matters whether that came?
     * @param list<AskedChannel> $channels
     * @param list<Condition>    $conditions
     * @param list<SettingRule>  $settings
     * @param list<Found>        $adjusting what to know while a setting is adjusted, by its name
     * @param list<Factor>       $factors   levels that whoever makes it says
     * @param list<AskedQuestion> $questions
     */
    private function __construct(
        public string $method,
        public string $name,
        public int $version,
        public string $heldWhen,
        public array $channels,
        public array $conditions,
        public array $settings,
        public array $adjusting,
        public array $factors,
        public array $questions,
        public bool $waits,
    ) {
    }

    /** @return list<Found> */
    private static function adjusting(Configuration $c): array
    {
        $said = array_map(static fn (SettingRule $s): Found => new Found($s->name, MethodWords::adjusting($s)), $c->settings);

        return array_values(array_filter($said, static fn (Found $f): bool => $f->text !== ''));
    }

    /**
     * @param array<string, string>       $names of metrics
     * @param array<string, list<string>> $words of those on an ordered scale
     */
    public static function of(Configuration $c, array $names, array $words): self
    {
        return new self(
            $c->method, $c->methodName, $c->methodVersion, $c->heldWhen,
            array_map(static fn (Channel $one): AskedChannel => new AskedChannel(
                $one->key, $names[$one->metric] ?? '', $one->unit, $one->instrument, $one->resolution, $one->whenStopped, $one->formula,
                $words[$one->metric] ?? [],
            ), $c->channels),
            $c->conditions, $c->settings, self::adjusting($c),
            array_values(array_filter($c->factors, static fn (Factor $f): bool => $f->isAsked())),
            array_map(
                static fn (Question $q): AskedQuestion => new AskedQuestion($q->key, $names[$q->metric] ?? '', $q->text), $c->questions,
            ),
            array_filter($c->channels, static fn (Channel $one): bool => $one->whenStopped !== ResultKind::Equal) !== [],
        );
    }
}
