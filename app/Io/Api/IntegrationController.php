<?php

declare(strict_types=1);

namespace App\Io\Api;

use App\Ground\Models\AccessToken;
use App\Ground\Models\Firm;
use App\Ground\Models\User;
use App\Ground\Models\Webhook;
use App\Ground\Support\Controller;
use Illuminate\Contracts\View\View;

/** The firm's tokens and webhooks. */
final class IntegrationController extends Controller
{
    private const SHOWN = 200;

    public function index(): View
    {
        $this->authorize('update', Firm::class);
        $tokens = AccessToken::query()->where('tokenable_type', (new User)->getMorphClass())->with('tokenable')
            ->orderBy('name')->orderBy('id')->limit(self::SHOWN)->get();

        return view('integrations.index', [
            'tokens' => $tokens,
            'webhooks' => Webhook::query()->withCount([
                'deliveries as waiting' => static fn ($unsent) => $unsent->whereNull('sent_at'),
            ])->orderBy('id')->limit(self::SHOWN)->get(),
        ]);
    }
}
