<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Doctrine\DBAL\Connection;
use Lustrum\Account\Access;
use Lustrum\Account\CurrentUser;
use Lustrum\Account\Workspace;
use Lustrum\Core\Run\Row;
use Lustrum\Facts\Code;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers sheets with a mark of the state that they were worked out at: what the device's counter, the person's role,
 * the day and the code say. A browser that holds the same gets 304; one that does not (another window, another phone of
 * the same person) gets the answer that was given out under this mark, packed as it went. Neither has anything worked out.
 */
final readonly class Cached
{
    public const HEADER = 'X-Lustrum-Cached';

    /** Of the levels of compression, the one that costs least. */
    private const QUICK = 1;

    /** With the database that it counts in: one that was restored counts again from where its backup stood. */
    private const COUNTER = "SELECT counter || '.' || (SELECT oid FROM pg_database WHERE datname = current_database()) FROM device WHERE id = ?";

    public function __construct(
        private Connection $db,
        private Security $security,
        private CurrentUser $user,
        private ClockInterface $clock,
        private Code $code,
        #[Autowire(service: 'lustrum.answers')]
        private CacheItemPoolInterface $answers,
    ) {
    }

    /**
     * @param Record<covariant RecordInput> $record that the sheet is about
     * @param callable(): object            $sheet
     */
    public function sheet(Request $request, Record $record, callable $sheet): Response
    {
        $counter = $this->db->fetchOne(self::COUNTER, [$record->belongsTo()->toRfc4122()]);
        $mark = $this->mark(Row::text($counter), $record->workspace(), $request);
        $response = new JsonResponse();
        $response->setEtag($mark);
        $response->headers->set('Cache-Control', 'private, no-cache');
        $response->headers->set(self::HEADER, '1');
        if (!$response->isNotModified($request)) {
            $response->setJson($this->answer($mark, static fn (): string => (string) (new JsonResponse($sheet()))->getContent()));
        }

        return $response;
    }

    /** @param callable(): string $workOut */
    private function answer(string $mark, callable $workOut): string
    {
        $item = $this->answers->getItem($mark);
        $packed = $item->get();
        $known = is_string($packed) ? @gzuncompress($packed) : false;
        if ($known !== false) {
            return $known;
        }
        $json = $workOut();
        $this->answers->save($item->set((string) gzcompress($json, self::QUICK)));

        return $json;
    }

    private function mark(string $counter, Workspace $workspace, Request $request): string
    {
        $role = ($this->security->isGranted(Access::Lead->value, $workspace) ? 'lead' : '').($this->security->isGranted(Access::Write->value, $workspace) ? 'write' : '');

        return hash('xxh128', implode('|', [
            $counter, $role, $this->user->user()?->id()->toRfc4122() ?? '', $this->clock->now()->format('Y-m-d'),
            $this->code->version, $request->getRequestUri(),
        ]));
    }
}
