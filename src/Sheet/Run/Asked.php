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
use Lustrum\Domain\Method\Method;
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

    /**
     * @param list<SettingRule> $settings
     *
     * @return list<Found>
     */
    private static function adjusting(array $settings): array
    {
        $said = array_map(static fn (SettingRule $s): Found => new Found($s->name, MethodWords::adjusting($s)), $settings);

        return array_values(array_filter($said, static fn (Found $f): bool => $f->text !== ''));
    }

    /**
     * @param array<string, string>       $names of metrics
     * @param array<string, list<string>> $words of those on an ordered scale
     */
    public static function of(Configuration $c, array $names, array $words): self
    {
        return self::with(
            $c->method, $c->methodName, $c->methodVersion, $c->heldWhen, $c->channels, $c->conditions, $c->settings, $c->factors,
            $c->questions, $names, $words,
        );
    }

    /**
     * What a run that is begun now would be asked.
     *
     * @param array<string, string>       $names of metrics
     * @param array<string, list<string>> $words of those on an ordered scale
     */
    public static function ofMethod(Method $m, array $names, array $words): self
    {
        return self::with(
            $m->id()->toRfc4122(), $m->name(), $m->edition(), $m->heldWhen(), $m->channels(), $m->conditions(), $m->settings(),
            $m->factors(),
            $m->questions(), $names, $words,
        );
    }

    /**
     * @param list<Channel>               $channels
     * @param list<Condition>             $conditions
     * @param list<SettingRule>           $settings
     * @param list<Factor>                $factors
     * @param list<Question>              $questions
     * @param array<string, string>       $names     of metrics
     * @param array<string, list<string>> $words     of those on an ordered scale
     */
    private static function with(
        string $method, string $name, int $edition, string $heldWhen, array $channels, array $conditions, array $settings, array $factors,
        array $questions, array $names, array $words,
    ): self {
        return new self(
            $method, $name, $edition, $heldWhen, array_map(static fn (Channel $one): AskedChannel => new AskedChannel(
                $one->key, $names[$one->metric] ?? '', $one->unit, $one->instrument, $one->resolution, $one->whenStopped, $one->formula,
                $words[$one->metric] ?? [],
            ), $channels),
            $conditions, $settings, self::adjusting($settings),
            array_values(array_filter($factors, static fn (Factor $f): bool => $f->isAsked())),
            array_map(static fn (Question $q): AskedQuestion => new AskedQuestion($q->key, $names[$q->metric] ?? '', $q->text), $questions),
            array_filter($channels, static fn (Channel $one): bool => $one->whenStopped !== ResultKind::Equal) !== [],
        );
    }
}
