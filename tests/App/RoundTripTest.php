<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Account\Role;
use Lustrum\Core\Run\Row;
use PHPUnit\Framework\Attributes\DataProvider;

/** A device out into its file and in again, elsewhere: every sheet of it is the same, and every picture to the last byte. */
final class RoundTripTest extends ApiTestCase
{
    private const PEOPLE = ['lead@example.test' => Role::Lead, 'member@example.test' => Role::Member, 'viewer@example.test' => Role::Viewer];

    /** @return iterable<string, array{string, int}> device, and how many sheets it has at least */
    public static function devices(): iterable
    {
        yield 'Wren' => ['wren', 180];
        yield 'Plover' => ['plover', 40];
    }

    #[DataProvider('devices')]
    public function testEverySheetIsTheSame(string $name, int $least): void
    {
        $first = $this->bring($this->demo($name), $this->workspace);
        $this->letWorkersWork();
        // What is blind does not go out.
        foreach (self::service(Connection::class)->fetchFirstColumn('SELECT id FROM panel WHERE belongs_to = ?', [$first]) as $panel) {
            $this->json('POST', '/api/panels/'.Row::text($panel).'/unblind', ['version' => 1]);
            self::assertSame(200, $this->answered());
        }
        $file = (array) json_decode($this->given('/api/devices/'.$first.'/export.json'), true);
        $other = $this->newWorkspace('Elsewhere', self::PEOPLE);
        $this->signIn('lead@example.test');
        $second = $this->bring($file, $other);
        $this->letWorkersWork();
        [$before, $after] = [$this->sheets($first), $this->sheets($second)];
        self::assertSame(array_keys($before), array_keys($after));
        $others = [];
        foreach ($before as $sheet => $json) {
            if ($json !== $after[$sheet]) {
                $others[] = $sheet.': '.self::differs($json, $after[$sheet]);
            }
        }
        self::assertSame([], $others);
        self::assertGreaterThan($least, count($before));
        self::assertNotSame([], $this->hashes($first));
        self::assertSame($this->hashes($first), $this->hashes($second), 'Every picture keeps its bytes.');
    }

    public function testWhoMadeWhatIsTheWordOfWhoeverBroughtIt(): void
    {
        $device = $this->bring($this->demo('plover'), $this->workspace);
        $builds = (array) $this->json('GET', '/api/devices/'.$device.'/frame')['spine'];
        $find = $this->given('/api/revisions/'.self::text($builds, 0, 'revision', 'id').'/find')
            .$this->given('/api/revisions/'.self::text($builds, 1, 'revision', 'id').'/find');
        self::assertStringContainsString('said to be Ines Caldeira, brought in by Lead', $find);
        self::assertDoesNotMatchRegularExpression('/"by":"(Maren Okafor|Tobias Lind|Ines Caldeira)"/', $find);
        // Whoever agreed agreed elsewhere, as the file says.
        self::assertStringNotContainsString('"by":"Maren Okafor"', $this->given('/api/revisions/'.self::text($builds, 1, 'revision', 'id').'/try'));
        // What goes out again is what the file said.
        self::assertStringContainsString('"createdBy":"Maren Okafor"', $this->given('/api/devices/'.$device.'/export.json'));
    }

    /** @return array<array-key, mixed> a device of the demo, with pictures as small as they can be */
    private function demo(string $name): array
    {
        $file = (array) json_decode((string) file_get_contents(dirname(__DIR__, 2).'/demo/'.$name.'.json'), true);
        $photos = [];
        foreach (Row::rows($file['photos'] ?? []) as $i => $photo) {
            $image = imagecreatetruecolor(24 + $i, 18);
            imagefill($image, 0, 0, 0x334455 + 7 * $i);
            ob_start();
            imagejpeg($image, null, 90);
            $photos[] = ['picture' => base64_encode((string) ob_get_clean())] + $photo;
        }

        return ['photos' => $photos] + $file;
    }

    /** @param array<array-key, mixed> $file */
    private function bring(array $file, string $workspace): string
    {
        $view = $this->json('POST', '/api/workspaces/'.$workspace.'/import', $file);
        self::assertSame(201, $this->answered(), json_encode($view) ?: '');

        return self::text($view, 'device');
    }

    private function given(string $url): string
    {
        $this->client->request('GET', $url);

        return $this->client->getInternalResponse()->getContent();
    }

    /** @return list<array<string, mixed>> of every picture and document */
    private function hashes(string $device): array
    {
        return self::service(Connection::class)->fetchAllAssociative(
            'SELECT name, sha256, state FROM photo WHERE belongs_to = :d UNION ALL SELECT name, sha256, preview FROM document
             WHERE belongs_to = :d ORDER BY 2, 1', ['d' => $device],
        );
    }

    /** @return array<string, string> every sheet of a device, by what it is, without the identifiers that each import makes anew */
    private function sheets(string $device): array
    {
        $db = self::service(Connection::class);
        $out = [];
        foreach (['frame', 'brief', 'methods'] as $sheet) {
            $out[$sheet] = $this->bare($this->given('/api/devices/'.$device.'/'.$sheet));
        }
        $lists = [
            'revisions' => ['revision', ['build', 'try', 'find', 'weigh', 'next', 'workshop', 'field', 'workings']], 'methods' => ['method', ['sheet']],
            'runs' => ['run', ['']], 'decisions' => ['decision', ['']], 'panels' => ['panel', ['page']],
        ];
        foreach ($lists as $plural => [$table, $sheets]) {
            $ids = $db->fetchFirstColumn('SELECT id FROM '.$table.' WHERE belongs_to = ? ORDER BY created_at, id', [$device]);
            foreach ($ids as $i => $id) {
                // Of the runs each third: they are many, and much alike.
                if ($plural === 'runs' && $i % 3 !== 0) {
                    continue;
                }
                foreach ($sheets as $sheet) {
                    $out[$plural.' '.$i.' '.$sheet] = $this->bare($this->given(rtrim('/api/'.$plural.'/'.Row::text($id).'/'.$sheet, '/')));
                }
            }
        }

        return $out;
    }

    /** Where two texts part. */
    private static function differs(string $one, string $other): string
    {
        $at = max(0, strspn($one ^ $other, "\0") - 120);

        return "\n".substr($one, $at, 300)."\n".substr($other, $at, 300);
    }

    /** Each identifier as the number of its first place; what it cost to send is no part of it. */
    private function bare(string $json): string
    {
        self::assertSame(200, $this->answered(), $json);
        $seen = [];

        return (string) preg_replace_callback(
            '/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/',
            static function (array $m) use (&$seen): string {
                return '#'.($seen[$m[0]] ??= count($seen) + 1);
            }, $json,
        );
    }
}
