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
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers sheets with a mark of the state that they were worked out at: what the device's counter, the person's role,
 * the day and the code say. A browser that holds the same gets 304, and nothing is worked out.
 */
final readonly class Cached
{
    public const HEADER = 'X-Lustrum-Cached';

    public function __construct(
        private Connection $db,
        private Security $security,
        private CurrentUser $user,
        private ClockInterface $clock,
        private Code $code,
    ) {
    }

    /**
     * @param Record<covariant RecordInput> $record that the sheet is about
     * @param callable(): object            $sheet
     */
    public function sheet(Request $request, Record $record, callable $sheet): Response
    {
        $counter = $this->db->fetchOne('SELECT counter FROM device WHERE id = ?', [$record->belongsTo()->toRfc4122()]);
        $response = new JsonResponse();
        $response->setEtag($this->mark((string) Row::whole($counter), $record->workspace(), $request));
        $response->headers->set('Cache-Control', 'private, no-cache');
        $response->headers->set(self::HEADER, '1');
        if (!$response->isNotModified($request)) {
            $response->setData($sheet());
        }

        return $response;
    }

    private function mark(string $counter, Workspace $workspace, Request $request): string
    {
        $role = ($this->security->isGranted(Access::Lead->value, $workspace) ? 'lead' : '').($this->security->isGranted(Access::Write->value, $workspace) ? 'write' : '');

        return hash('xxh128', implode('|', [
            $counter, $role, $this->user->user()?->id()->toRfc4122() ?? '', $this->clock->now()->format('Y-m-d'), $this->code->version, $request->getRequestUri(),
        ]));
    }
}
