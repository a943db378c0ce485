<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Row;

/** The readings as a table: what is stored, one reading a line, whatever people wrote into their texts. */
final class CsvTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    public function testEveryReadingIsALineWithItsRunAroundIt(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0, 44.1]);
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [39.5]);
        $rows = $this->rows();
        self::assertSame(['43', '44.1', '39.5'], array_column($rows, 'typed_value'));
        self::assertSame(['A', 'A', 'B'], array_column($rows, 'build'));
        self::assertSame(['U-1', 'U-1', 'U-2'], array_column($rows, 'article_serial'));
        self::assertSame(['1', '2', '1'], array_column($rows, 'run'));
        foreach ($rows as $row) {
            self::assertSame(['Push', 'push force', 'push', 'N', 'N', 'no', ''], [
                $row['method'], $row['metric'], $row['channel'], $row['typed_unit'], $row['typed_unit_ucum'], $row['amended'],
                $row['withdrawn'],
            ]);
            self::assertSame('held', strtolower($row['outcome']));
        }
    }

    public function testAValueStandsAsTypedAndInTheSi(): void
    {
        $this->read('9.7 lbf');
        $row = $this->rows()[0];
        self::assertSame(['9.7', 'lbf', '[lbf_av]'], [$row['typed_value'], $row['typed_unit'], $row['typed_unit_ucum']]);
        self::assertEqualsWithDelta(9.7 * Units::parse('lbf')->factor, (float) $row['si_value'], 1e-9);
        self::assertSame(Units::parse('N')->dimension->siUnit(), $row['si_unit']);
    }

    public function testAnAmendmentShowsBothValues(): void
    {
        $reading = $this->read('4.1 N');
        $this->json(
            'POST', '/api/readings/'.$reading.'/amend', ['text' => '41 N', 'reason' => 'Slipped', 'version' => 1, 'confirmed' => 'x'],
        );
        self::assertSame(200, $this->answered());
        $row = $this->rows()[0];
        self::assertSame(['4.1', '41', 'yes'], [$row['typed_value'], $row['value'], $row['amended']]);
    }

    public function testTextsComeThroughWhole(): void
    {
        $odd = ["a, b; \"c\"\nd", 'Grüße, “quoted”', ' spaces ', '2.5', '-3'];
        foreach ($odd as $text) {
            $this->read('41 N', ['operator' => $text, 'conditions' => [['name' => 'soil', 'text' => $text]]]);
        }
        $rows = $this->rows();
        self::assertSame(array_map(trim(...), $odd), array_map(static fn (array $r): string => trim($r['operator']), $rows));
    }

    public function testNothingIsAFormula(): void
    {
        $nasty = ['=1+1', '+cmd', '-cmd', '@SUM(A1)', "\tx", '=HYPERLINK("x")', '-3', '+5', '-3.5e2'];
        foreach ($nasty as $text) {
            $this->read('41 N', ['note' => '', 'operator' => $text]);
        }
        foreach ($this->rows() as $i => $row) {
            $cell = $row['operator'];
            self::assertTrue(
                is_numeric($cell) || preg_match('/^[=+\-@\t\r]/', $cell) !== 1, $nasty[$i].' became '.$cell,
            );
            self::assertSame(trim($nasty[$i]), trim(ltrim($cell, "'")));
        }
    }

    public function testALineEndsAsTheStandardSays(): void
    {
        $this->read('41 N');
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/readings.csv');
        $text = $this->client->getInternalResponse()->getContent();
        self::assertStringEndsWith("\r\n", $text);
        self::assertSame(2, substr_count($text, "\r\n"));
        self::assertSame('text/csv; charset=utf-8', strtolower((string) $this->client->getResponse()->headers->get('Content-Type')));
        self::assertStringContainsString('attachment', (string) $this->client->getResponse()->headers->get('Content-Disposition'));
        self::assertTrue(mb_check_encoding($text, 'UTF-8'));
    }

    public function testADeviceWithoutReadingsIsItsHeadings(): void
    {
        self::assertSame([], $this->rows());
    }

    public function testTheTableIsWhatTheDatabaseHolds(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0, 44.1, 42.7]);
        $this->read('9.7 lbf');
        $db = self::service(Connection::class);
        $stored = $db->fetchFirstColumn(
            'SELECT g.current_si FROM reading g JOIN run r ON r.id = g.run_id WHERE g.belongs_to = ? ORDER BY r.started_at, r.number',
            [$this->bench->device],
        );
        $given = array_map(static fn (array $r): float => (float) $r['si_value'], $this->rows());
        self::assertCount(count($stored), $given);
        foreach ($stored as $i => $si) {
            self::assertEqualsWithDelta(Row::number($si), $given[$i], 1e-12);
        }
        self::assertSame(
            Row::whole($db->fetchOne("SELECT count(*) FROM history_entry WHERE kind = 'export' AND record = ?", [$this->bench->device])), 1,
            'That it was taken out is in the history.',
        );
    }

    /**
     * A run with one reading.
     *
     * @param array<string, mixed> $of the run
     *
     * @return string the reading
     */
    private function read(string $text, array $of = []): string
    {
        $trial = $this->put('trials', ['revision' => $this->bench->a, 'method' => $this->bench->method, 'name' => 'Pushing']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitA] + $of);
        $reading = $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => $text, 'confirmed' => 'in a test']);
        $this->json(
            'PUT', '/api/runs/'.$run, ['trial' => $trial, 'article' => $this->bench->unitA, 'outcome' => 'held', 'version' => 1] + $of,
        );
        self::assertSame(200, $this->answered());

        return $reading;
    }

    /** @return list<array<string, string>> by heading */
    private function rows(): array
    {
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/readings.csv');
        self::assertSame(200, $this->answered());
        $stream = fopen('php://temp', 'w+');
        self::assertIsResource($stream);
        fwrite($stream, $this->client->getInternalResponse()->getContent());
        rewind($stream);
        $headings = array_map(strval(...), (array) fgetcsv($stream, null, ',', '"', ''));
        $rows = [];
        while (is_array($cells = fgetcsv($stream, null, ',', '"', ''))) {
            self::assertCount(count($headings), $cells);
            $rows[] = array_combine($headings, array_map(strval(...), $cells));
        }

        return $rows;
    }
}
