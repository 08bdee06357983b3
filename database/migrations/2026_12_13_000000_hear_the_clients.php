<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('gardens', static function (Blueprint $table): void {
            $table->string('client_email')->nullable();
            $table->string('client_phone')->nullable();
            $table->text('wishes')->nullable();
            // Whether pictures of the garden may be shown to the client and kept; null where nobody has asked.
            $table->boolean('photos_ok')->nullable();
        });
        // The client's own page, by a link of which only a digest is kept; one at a time is open.
        Schema::create('client_links', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('digest')->unique();
            $table->foreignId('made_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('created_at')->nullable();
            $table->timestamp('seen_at')->nullable();
        });
        Schema::create('client_words', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->foreignId('visit_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind');
            $table->text('says')->nullable();
            $table->timestamp('created_at')->nullable();
            $table->timestamp('heard_at')->nullable();
            $table->foreignId('heard_by')->nullable()->constrained('users')->nullOnDelete();
            $table->index(['heard_at', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('client_words');
        Schema::dropIfExists('client_links');
        Schema::table('gardens', static fn (Blueprint $table) => $table->dropColumn([
            'client_email', 'client_phone', 'wishes', 'photos_ok',
        ]));
    }
};
