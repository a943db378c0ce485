<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Core\Statistics\Sample;
use PHPUnit\Framework\Attributes\TestWith;

/** The confidence that a device is judged at reaches every interval on every sheet. */
final class ConfidenceTest extends ApiTestCase
{
    private const FORCES = [39.9, 41.2, 40.4, 42.6, 38.8];

    #[TestWith([0.8])]
    #[TestWith([0.95])]
    #[TestWith([0.99])]
    public function testOneConfidenceEverywhere(float $confidence): void
    {
        $bench = $this->bench();
        $this->json(
            'PUT', '/api/devices/'.$bench->device,
            ['workspace' => $this->workspace, 'name' => 'Wagtail', 'currency' => 'EUR', 'confidence' => $confidence, 'version' => 1],
        );
        self::assertSame(200, $this->answered());
        $this->trial($bench, $bench->a, $bench->unitA, [43.0, 44.1, 42.7, 45.3]);
        $this->trial($bench, $bench->b, $bench->unitB, self::FORCES);
        $interval = Sample::of(self::FORCES)->interval($confidence);
        $text = sprintf('[%.1f, %.1f]', $interval->low, $interval->high);

        $weigh = $this->json('GET', '/api/revisions/'.$bench->b.'/weigh');
        self::assertStringContainsString($text, self::text($weigh, 'comparisons', 0, 'here', 'text'), 'The figure.');
        self::assertStringContainsString($text, self::text($weigh, 'comparisons', 0, 'sentence'), 'The sentence beside it.');
        self::assertStringContainsString(
            sprintf('%g %%', 100 * $confidence), json_encode($weigh) ?: '', 'What the table says it stands on.',
        );
        $try = json_encode($this->json('GET', '/api/revisions/'.$bench->b.'/try'), JSON_UNESCAPED_UNICODE) ?: '';
        self::assertStringContainsString($text, $try, 'The trial.');
    }

    /** What is surer asks for more: the bound of the table moves away from the mean. */
    public function testTheBoundFollows(): void
    {
        $bench = $this->bench();
        $this->trial($bench, $bench->b, $bench->unitB, self::FORCES);
        $bounds = [];
        foreach ([0.8, 0.95, 0.99] as $version => $confidence) {
            $this->json(
                'PUT', '/api/devices/'.$bench->device,
                ['workspace' => $this->workspace, 'name' => 'Wagtail', 'confidence' => $confidence, 'version' => 1 + $version],
            );
            self::assertSame(200, $this->answered());
            foreach ((array) $this->json('GET', '/api/revisions/'.$bench->b.'/weigh')['cells'] as $cell) {
                if (self::text((array) $cell, 'revision') === $bench->b) {
                    $bounds[] = (float) self::text((array) $cell, 'bound');
                }
            }
        }
        self::assertCount(3, $bounds);
        self::assertLessThan($bounds[1], $bounds[0]);
        self::assertLessThan($bounds[2], $bounds[1]);
    }
}
