<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Belief\Belief;
use Lustrum\Core\Belief\Weight;
use Lustrum\Core\Judging\StepTried;
use Lustrum\Core\Judging\UseVerdict;

/** Sentences of the brief: how a build does for each use, which steps were never tried, what is only believed. */
final class BriefWords
{
    /** So many of a list are named; of more it says how many. */
    private const NAMED = 3;

    /** @param string $letter of the build that is judged; empty: nothing was tried yet */
    public static function use(UseVerdict $verdict, string $letter): string
    {
        return Messages::say('brief.use', [
            'letter' => $letter, 'tried' => $letter !== '', 'fit' => $verdict->fit->value, 'musts' => $verdict->musts,
            'shown' => $verdict->shown,
            'failed' => self::some(array_map(
                static fn (string $s): string => '“'.$s.'”', $verdict->unanswered !== [] ? $verdict->unanswered : $verdict->failed,
            )),
            'answers' => self::some($verdict->answers),
        ]);
    }

    /**
     * @param list<StepTried> $steps
     * @param string          $letter of the build that is looked at; empty: nothing was built yet
     */
    public static function steps(array $steps, string $letter): string
    {
        $never = array_values(array_filter($steps, static fn (StepTried $s): bool => $s->isNever()));
        $here = count(array_filter($steps, static fn (StepTried $s): bool => $s->here));

        return $steps === [] ? '' : Messages::say('brief.steps', [
            'n' => count($steps), 'never' => count($never), 'here' => $here, 'built' => $letter !== '', 'letter' => $letter,
            'names' => self::some(array_map(static fn (StepTried $s): string => $s->name, $never)),
        ]);
    }

    /** Where a step was tried, in short. */
    public static function step(StepTried $step): string
    {
        return Messages::say('brief.step', [
            'tried' => $step->here ? 'here' : ($step->isNever() ? 'never' : 'elsewhere'), 'letter' => $step->letter ?? '',
        ]);
    }

    /** @param list<Belief> $standings of all assumptions */
    public static function beliefs(array $standings): string
    {
        $count = static fn (Belief $b): int => count(array_filter($standings, static fn (Belief $one): bool => $one === $b));

        return $standings === [] ? '' : Messages::say('brief.beliefs', [
            'n' => count($standings), 'open' => $count(Belief::Believed) + $count(Belief::Checked),
            'overturned' => $count(Belief::Overturned),
        ]);
    }

    /** What a decision rests on and nobody has settled; empty: nothing.
     *
     * @param list<string> $believed
     */
    public static function resting(array $believed): string
    {
        return $believed === [] ? '' : Messages::say('brief.resting', ['n' => count($believed), 'what' => self::some($believed)]);
    }

    public static function belief(Belief $standing): string
    {
        return Messages::say('brief.belief', ['standing' => $standing->value]);
    }

    /** @param string $what which finding, as it is called */
    public static function finding(Weight $says, string $what): string
    {
        return Messages::say('brief.finding', ['says' => $says->value, 'what' => $what]);
    }

    public static function run(string $trial, int $number, string $letter): string
    {
        return Messages::say('brief.run', ['trial' => $trial, 'number' => $number, 'letter' => $letter]);
    }

    /**
     * What somebody did for the device.
     *
     * @param array{asked: int, proposed: int, said: int, signed: int, keeps: int, believes: int} $did
     */
    public static function did(array $did): string
    {
        $parts = [];
        foreach ($did as $what => $n) {
            if ($n > 0) {
                $parts[] = Messages::say('brief.did', ['what' => $what, 'n' => $n]);
            }
        }

        return $parts === [] ? Messages::say('brief.didNothing') : Messages::list($parts);
    }

    /** @param string $letters builds of the other device that carry this one */
    public static function carrier(string $device, string $letters): string
    {
        return Messages::say('brief.carrier', ['device' => $device, 'letters' => $letters]);
    }

    /** Where a device began; empty: here. */
    public static function origin(string $name, string $author, string $terms, string $alterations): string
    {
        return $name === '' ? '' : Messages::say('brief.origin', [
            'name' => $name, 'known' => $author !== '', 'author' => $author, 'bound' => $terms !== '', 'terms' => rtrim($terms, '. '),
            'altered' => $alterations !== '', 'alterations' => rtrim($alterations, '. '),
        ]);
    }

    /** @param list<string> $names */
    private static function some(array $names): string
    {
        $more = count($names) - self::NAMED;

        return $more < 2 ? Messages::list($names) : Messages::say('brief.some', [
            'names' => implode(', ', array_slice($names, 0, self::NAMED)), 'n' => $more,
        ]);
    }
}
