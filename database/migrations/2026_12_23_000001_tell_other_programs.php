<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('webhooks', static function (Blueprint $table): void {
            $table->id();
            $table->string('url', 500);
            $table->text('secret');
            $table->text('events');
            $table->boolean('active')->default(true)->index();
            $table->foreignId('made_by')->nullable()->index()->constrained('users')->nullOnDelete();
            $table->unsignedInteger('failures')->default(0);
            $table->timestamp('failing_since')->nullable();
            $table->timestamp('try_after')->nullable();
            $table->string('last_error', 300)->nullable();
            $table->timestamp('delivered_at')->nullable();
            $table->timestamps();
        });
        Schema::create('webhook_deliveries', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('webhook_id')->constrained()->cascadeOnDelete();
            $table->string('uuid', 36)->unique();
            $table->string('event', 40);
            $table->text('body');
            $table->timestamp('created_at');
            $table->timestamp('sent_at')->nullable()->index();
            $table->index(['webhook_id', 'sent_at', 'id']);
        });
    }

    public function down(): void
    {
        Schema::drop('webhook_deliveries');
        Schema::drop('webhooks');
    }
};
