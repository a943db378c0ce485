<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Symfony\Component\Uid\Uuid;

/** The rules of judgement, as the sheets say them. */
final class JudgementTest extends ApiTestCase
{
    public function testEvidenceIsCarriedOverOnlyWhileNothingItDependsOnHasChanged(): void
    {
        $bench = $this->bench();
        $this->json(
            'PUT', '/api/requirements/'.$bench->requirement,
            [
                'device' => $bench->device, 'statement' => 'Light to push', 'metric' => 'push force', 'unit' => 'N', 'limit' => 45.0,
                'direction' => 'atMost', 'dependsOn' => ['shape'], 'version' => 1,
            ],
        );
        $this->trial($bench, $bench->a, $bench->unitA, [41.0, 41.5, 40.8, 41.2]);
        $this->put('changes', ['revision' => $bench->b, 'what' => 'Green paint', 'class' => 'cosmetic']);
        $cell = $this->cell($bench->b);
        self::assertSame(['dotted', 'A', 'shown'], [$cell['texture'], $cell['from'], $cell['state']]);
        self::assertStringContainsString('carried over from A', self::text($cell, 'sentence'));
        $this->put('changes', ['revision' => $bench->b, 'what' => 'Wider tyre', 'class' => 'shape']);
        $cell = $this->cell($bench->b);
        self::assertSame(['outline', 'A', 'none'], [$cell['texture'], $cell['from'], $cell['state']]);
        self::assertStringContainsString('Older: differs in Wider tyre', self::text($cell, 'sentence'));
        $this->trial($bench, $bench->b, $bench->unitB, [43.0]);
        $cell = $this->cell($bench->b);
        self::assertSame(
            ['sparse', null, 'thin'], [$cell['texture'], $cell['from'], $cell['state']],
            'One run of its own beats any number of older ones, and stays thin.',
        );
    }

    public function testAConditionThatMustBeCoveredHoldsTheSolidTextureBack(): void
    {
        $bench = $this->bench();
        $this->json(
            'PUT', '/api/requirements/'.$bench->requirement,
            [
                'device' => $bench->device, 'statement' => 'Light to push', 'metric' => 'push force', 'unit' => 'N', 'limit' => 45.0,
                'direction' => 'atMost', 'conditions' => ['soil=moist'], 'version' => 1,
            ],
        );
        $trial = $this->trial($bench, $bench->a, $bench->unitA, [41.0, 41.5, 40.8, 41.2]);
        self::assertSame('dense', $this->cell($bench->a)['texture']);
        self::assertStringContainsString('Not yet with soil moist', self::text($this->cell($bench->a), 'sentence'));
        $run = $this->put('runs', ['trial' => $trial, 'article' => $bench->unitA, 'conditions' => [['name' => 'soil', 'text' => 'moist']]]);
        $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '41.3 N']);
        $this->json(
            'PUT', '/api/runs/'.$run,
            [
                'trial' => $trial, 'article' => $bench->unitA, 'conditions' => [['name' => 'soil', 'text' => 'moist']], 'outcome' => 'held',
                'version' => 1,
            ],
        );
        self::assertSame('solid', $this->cell($bench->a)['texture']);
    }

    public function testAFailedRunIsComparedWithTheLastOneThatHeld(): void
    {
        $bench = $this->bench();
        $this->trial($bench, $bench->a, $bench->unitA, [41.0, 41.5]);
        $trial = $this->put('trials', ['revision' => $bench->b, 'method' => $bench->method, 'name' => 'Again']);
        $run = $this->put(
            'runs',
            ['trial' => $trial, 'article' => $bench->unitB, 'operator' => 'Ines', 'conditions' => [['name' => 'soil', 'text' => 'moist']]],
        );
        $this->json(
            'PUT', '/api/runs/'.$run,
            [
                'trial' => $trial, 'article' => $bench->unitB, 'operator' => 'Ines',
                'conditions' => [['name' => 'soil', 'text' => 'moist']], 'outcome' => 'failed', 'outcomeReason' => 'Wheel locked',
                'version' => 1,
            ],
        );
        $this->put('failures', ['revision' => $bench->b, 'run' => $run, 'mode' => 'Wheel locked']);
        $noticed = implode("\n", array_filter((array) $this->json('GET', '/api/runs/'.$run)['noticed'], is_string(...)));
        self::assertStringContainsString('“Wheel locked” has not been seen on this device before.', $noticed);
        self::assertStringContainsString('Against the last one that held (run 2 on A): the article (U-1, then U-2); the build (A, then B); ', $noticed);
        self::assertStringContainsString('another lot of sheet (P-1, then P-2)', $noticed);
        self::assertStringContainsString('Nobody has recorded moisture yet', $noticed);
        $this->put('failures', ['revision' => $bench->a, 'mode' => 'wheel LOCKED']);
        self::assertStringContainsString(
            'was seen before: once on A', json_encode($this->json('GET', '/api/runs/'.$run), JSON_UNESCAPED_UNICODE) ?: '',
        );
    }

    public function testAFailureClosesWhereItHappenedAndOpensAgain(): void
    {
        $bench = $this->bench();
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $bench->method, 'name' => 'First']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $bench->unitA]);
        $this->json(
            'PUT', '/api/runs/'.$run,
            ['trial' => $trial, 'article' => $bench->unitA, 'outcome' => 'failed', 'outcomeReason' => 'Broke', 'version' => 1],
        );
        $failure = $this->put('failures', ['revision' => $bench->a, 'run' => $run, 'mode' => 'Broke']);
        $standing = fn (): string => self::text($this->json('GET', '/api/revisions/'.$bench->a.'/find'), 'failures', 0, 'standing');
        self::assertSame('open', $standing());
        $this->put('changes', ['revision' => $bench->b, 'what' => 'Thicker', 'class' => 'strength', 'against' => [$failure]]);
        self::assertSame('fixUntried', $standing());
        $this->trial($bench, $bench->b, $bench->unitB, [40.0]);
        self::assertSame('holding', $standing(), 'Once is not enough.');
        $this->trial($bench, $bench->b, $bench->unitB, [40.1, 40.2, 40.0]);
        self::assertSame('holding', $standing(), 'Four leave an unmended one too good a chance, after one of one.');
        $this->trial($bench, $bench->b, $bench->unitB, [40.1]);
        self::assertSame('closed', $standing());
        $this->put('failures', ['revision' => $bench->b, 'mode' => 'broke']);
        self::assertSame('cameBack', $standing());
        $modes = (array) $this->json('GET', '/api/revisions/'.$bench->b.'/find')['modes'];
        self::assertCount(1, $modes, 'The same words, however written, are one mode.');
        self::assertSame('Still there on B.', self::text($modes, 0, 'sentence'));
    }

    public function testWhatWaitsIsMarkedOnItsStation(): void
    {
        $bench = $this->bench();
        $waits = function () use ($bench): array {
            $out = [];
            foreach ((array) $this->json('GET', '/api/devices/'.$bench->device.'/frame')['spine'] as $tag) {
                foreach ((array) self::at((array) $tag, 'waits') as $mark) {
                    $out[] = self::text(
                        (array) $tag, 'revision', 'letter',
                    ).' '.self::text((array) $mark, 'station').': '.self::text((array) $mark, 'why');
                }
            }

            return $out;
        };
        self::assertSame([], $waits());
        $trial = $this->put('trials', ['revision' => $bench->b, 'method' => $bench->method, 'name' => 'Open']);
        $this->put('runs', ['trial' => $trial]);
        $failure = $this->put('failures', ['revision' => $bench->a, 'mode' => 'Broke']);
        $this->put('candidates', ['revision' => $bench->b, 'what' => 'Thicker']);
        self::assertSame(['B try: 1 unfinished', 'B next: 1 to decide', 'A find: 1 without a cause'], $waits());
        $this->put('causes', ['failure' => $failure, 'text' => 'Thin']);
        self::assertSame(['B try: 1 unfinished', 'B next: 1 to decide'], $waits());
    }

    public function testABuildIsBeingBuiltUntilItIsTried(): void
    {
        $bench = $this->bench();
        $tag = fn (): string => self::text($this->json('GET', '/api/devices/'.$bench->device.'/frame'), 'spine', 0, 'evidence');
        self::assertSame('being built', $tag());
        $this->trial($bench, $bench->a, $bench->unitA, [41.0]);
        self::assertSame('being built', $tag(), 'Its parent was tried, it was not.');
        $this->trial($bench, $bench->b, $bench->unitB, [41.0]);
        self::assertSame('0 of 1 shown', $tag());
    }

    public function testAnythingButTheParentMayBeComparedWith(): void
    {
        $bench = $this->bench();
        $other = $this->put('revisions', ['device' => $bench->device, 'letter' => 'C', 'parent' => $bench->b]);
        $this->trial($bench, $bench->a, $bench->unitA, [48.0, 49.0, 47.5]);
        $unit = $this->put('articles', ['revision' => $other, 'serial' => 'U-3', 'lots' => ['sheet: P-1']]);
        $this->trial($bench, $other, $unit, [44.0, 44.5, 44.2]);
        $parent = $this->json('GET', '/api/revisions/'.$other.'/weigh');
        self::assertStringContainsString('not measured on B', self::text($parent, 'comparisons', 0, 'sentence'));
        $first = $this->json('GET', '/api/revisions/'.$other.'/weigh?against='.$bench->a);
        self::assertSame(
            ['A', 'lower', 'better'],
            [
                self::text($first, 'against', 'letter'), self::text($first, 'comparisons', 0, 'verdict'),
                self::text($first, 'comparisons', 0, 'judged'),
            ],
        );
        $stranger = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Else']);
        $elsewhere = $this->put('revisions', ['device' => $stranger, 'letter' => 'A']);
        $this->json('GET', '/api/revisions/'.$other.'/weigh?against='.$elsewhere);
        self::assertSame(422, $this->answered());
    }

    public function testUnitsHaveAPastAndSettingsThatMoveAreNamed(): void
    {
        $bench = $this->bench();
        $method = $this->put(
            'methods',
            [
                'device' => $bench->device, 'name' => 'Set',
                'settings' => [['name' => 'gap', 'unit' => 'mm', 'intended' => 0.8, 'tolerance' => 0.1]], 'safety' => ['abort' => 'x'],
            ],
        );
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $method, 'name' => 'Set']);
        $first = $this->put(
            'runs', ['trial' => $trial, 'article' => $bench->unitA, 'settings' => [['name' => 'gap', 'text' => '0.85 mm']]],
        );
        $this->json(
            'PUT', '/api/runs/'.$first,
            [
                'trial' => $trial, 'article' => $bench->unitA, 'settings' => [['name' => 'gap', 'text' => '0.85 mm']], 'outcome' => 'held',
                'version' => 1,
            ],
        );
        $later = (new \DateTimeImmutable('+2 minutes'))->format(\DATE_ATOM);
        $second = $this->put(
            'runs',
            ['trial' => $trial, 'article' => $bench->unitA, 'startedAt' => $later, 'settings' => [['name' => 'gap', 'text' => '0.055 in']]],
        );
        self::assertSame(
            [],
            array_filter(
                (array) $this->json('GET', '/api/runs/'.$first)['noticed'],
                static fn (mixed $n): bool => is_string($n) && str_contains($n, 'It has moved'),
            ),
        );
        $noticed = json_encode($this->json('GET', '/api/runs/'.$second)['noticed'], JSON_UNESCAPED_UNICODE) ?: '';
        self::assertStringContainsString('Gap was found at 0.055 in; it should be 0.8 mm ± 0.1', $noticed);
        self::assertStringContainsString('U-1 had 1 run behind it.', $noticed);
        $this->json('PUT', '/api/runs/'.Uuid::v7()->toRfc4122(), ['trial' => $trial, 'article' => $bench->unitB]);
        self::assertSame(422, $this->answered(), 'That unit was built to another revision.');
        $this->json('PUT', '/api/runs/'.$second, ['trial' => $trial, 'article' => null, 'version' => 1]);
        self::assertSame(422, $this->answered(), 'A run stays with its unit.');
    }

    public function testTriedUntilItHeldIsSaidWhereverItIsQuoted(): void
    {
        $bench = $this->bench();
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $bench->method, 'name' => 'Luck', 'repeats' => 'untilItHolds']);
        foreach (['failed', 'failed', 'held'] as $outcome) {
            $run = $this->put('runs', ['trial' => $trial]);
            $this->json('PUT', '/api/runs/'.$run, ['trial' => $trial, 'outcome' => $outcome, 'outcomeReason' => 'x', 'version' => 1]);
        }
        $row = (array) self::at($this->json('GET', '/api/revisions/'.$bench->a.'/try'), 'trials', 0);
        self::assertStringContainsString('stopped at first success', self::text($row, 'count'));
        self::assertStringContainsString('held 1 of 3; it may still fail in 9 to 99 % of tries', json_encode($row['results']) ?: '');
    }

    /** @return array<array-key, mixed> the one requirement on this build */
    private function cell(string $revision): array
    {
        foreach ((array) $this->json('GET', '/api/revisions/'.$revision.'/weigh')['cells'] as $cell) {
            if (is_array($cell) && $cell['revision'] === $revision) {
                return $cell;
            }
        }
        self::fail('No cell for this build.');
    }
}
